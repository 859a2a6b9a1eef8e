<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\KernelLine;
use Burrow\Card\Read\NetworkLink;
use Burrow\Card\Read\UserDataKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;
use Burrow\Text\TextBudget;

/**
 * What every reader takes and what cannot work all the same: judged is the value that the reader ends up with. Keys
 * that are none, packages in one text, modes that are no octal numbers, marks that no keyboard has; a router that is
 * the box, an address on two interfaces, a route over nobody; fields of ip= in each other's place.
 */
final class CannotWorkRule implements CardRule
{
    /** Marks that text programs put in place of “-”, “'” and “"”. */
    private const TYPOGRAPHIC = '/[\x{2012}-\x{2015}\x{2212}\x{2018}-\x{201F}]/u';

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        return Findings::of(
            ...$this->userData($folder),
            ...$this->network($folder),
            ...$this->kernel($folder),
        );
    }

    /** @return list<Finding> */
    private function userData(CardFolder $folder): array
    {
        $text = $folder->has('user-data') ? $folder->text('user-data') : '';
        if (UserDataKind::of($text) !== UserDataKind::Settings) {
            return [];
        }
        $document = CardDocument::read('user-data', $text);
        $data = $document->data ?? [];
        $found = [];
        foreach ($this->keys($data) as [$key, $path]) {
            // What stands before the kind of key are options (sshd(8), AUTHORIZED_KEYS FILE FORMAT).
            $bare = preg_match('/(?:^|\s)((?:ssh|ecdsa|sk)-\S+\s+\S+)/', $key, $m) === 1 ? $m[1] : $key;
            SshPublicKey::tryParse($bare)?->isWhole() === true ||
                ($found[] = CannotWorkFindings::keyUnusable($document->place($path)));
        }
        $packages = $data['packages'] ?? null;
        if (is_string($packages) && preg_match('/\S[\s,]+\S/', $packages) === 1) {
            $found[] = CannotWorkFindings::packagesInOne(mb_substr($packages, 0, 60), $document->place(['packages']));
        }
        foreach ($this->items($data['write_files'] ?? null) as $i => $file) {
            $path = ['write_files', $i, 'permissions'];
            $mode = is_array($file) ? $file['permissions'] ?? null : null;
            // 0644 is octal to the reader; 644 is six hundred and forty-four.
            if (is_int($mode) && preg_match('/^[1-7]?[0-7]{3}$/D', trim($document->raw($path))) === 1) {
                preg_match('/^0/', trim($document->raw($path))) === 1 ||
                    ($found[] = CannotWorkFindings::decimalMode(trim($document->raw($path)), $document->place($path)));
            }
        }
        foreach (['runcmd', 'bootcmd'] as $list) {
            foreach ($this->items($data[$list] ?? null) as $i => $command) {
                $words = implode(' ', array_filter(is_array($command) ? $command : [$command], is_string(...)));
                preg_match(self::TYPOGRAPHIC, $words, $m) === 1 &&
                    ($found[] = CannotWorkFindings::typographic($m[0], $document->place([$list, $i])));
            }
        }

        return $found;
    }

    /**
     * @param  array<mixed>  $data
     * @return list<array{string, list<int|string>}> public keys and where they stand
     */
    private function keys(array $data): array
    {
        $at = [[$data['ssh_authorized_keys'] ?? null, ['ssh_authorized_keys']]];
        foreach ($this->items($data['users'] ?? null) as $i => $user) {
            foreach (['ssh_authorized_keys', 'ssh-authorized-keys'] as $key) {
                is_array($user) && ($at[] = [$user[$key] ?? null, ['users', $i, $key]]);
            }
        }
        $keys = [];
        foreach ($at as [$list, $path]) {
            foreach ($this->items($list) as $i => $key) {
                is_string($key) && trim($key) !== '' && ($keys[] = [trim($key), [...$path, $i]]);
            }
        }

        return $keys;
    }

    /** @return list<Finding> */
    private function network(CardFolder $folder): array
    {
        $data = $folder->has('network-config')
            ? CardDocument::read('network-config', $folder->text('network-config'))->data
            : null;
        $root = is_array($data['network'] ?? null) ? ['network'] : [];
        $data = $root === [] ? $data ?? [] : $data['network'];
        if (! is_array($data) || ($data['version'] ?? null) !== 2) {
            return [];
        }
        $document = CardDocument::read('network-config', $folder->text('network-config'));
        $found = $has = [];
        foreach (array_slice(NetworkLink::ofVersion2($data, $root), 0, TextBudget::ITEMS) as $link) {
            $own = [];
            foreach ($link->addresses as [$text, $path]) {
                $address = is_string($text) ? explode('/', $text)[0] : '';
                if ($address === '') {
                    continue;
                }
                isset($has[$address]) && $has[$address] !== $link->name
                    ? ($found[] = CannotWorkFindings::addressTwice($address, $has[$address], $document->place($path)))
                    : ($has[$address] = $link->name);
                $own[] = $address;
            }
            if ($link->gateway !== null && in_array((string) $link->gateway, $own, true)) {
                $found[] = CannotWorkFindings::gatewayIsItself(
                    (string) $link->gateway,
                    $document->place($link->gatewayPath),
                );
            }
            foreach ($this->items($link->settings['routes'] ?? null) as $i => $route) {
                $wrong = is_array($route) ? self::nowhere($route) : null;
                $wrong === null ||
                    ($found[] = CannotWorkFindings::routeNowhere(
                        $wrong,
                        $document->place([...$link->path, 'routes', $i]),
                    ));
            }
        }

        return $found;
    }

    /** @param  array<mixed>  $route */
    private static function nowhere(array $route): ?string
    {
        $via = $route['via'] ?? null;
        // Routes that need nobody: of the link itself, and those that end.
        $isAlone = ($route['scope'] ?? '') === 'link' || in_array($route['type'] ?? 'unicast', [
            'blackhole',
            'unreachable',
            'prohibit',
            'throw',
            'local',
            'nat',
        ], true);

        return match (true) {
            $via === null && ! $isAlone => 'This route has no router.',
            is_string($via) && str_contains($via, '/') => "“{$via}” is a prefix, not the address of a router.",
            default => null,
        };
    }

    /** @return list<Finding> */
    private function kernel(CardFolder $folder): array
    {
        $text = $folder->has('cmdline.txt') ? trim($folder->text('cmdline.txt')) : '';
        $value = str_contains($text, "\n") ? null : KernelLine::parse($text)->values('ip')[0] ?? null;
        $fields = explode(':', $value ?? '');
        if (count($fields) < 4) {
            return [];
        }
        [$client, $server, $gateway] = $fields;
        $place = Place::file('cmdline.txt', 1);

        return array_values(
            array_filter([
                preg_match('/^255(?:\.\d{1,3}){3}$/D', $server) === 1
                    ? CannotWorkFindings::maskAsServer($server, $place)
                    : null,
                $client !== '' && Ipv4::tryParse($client) !== null && $client === $gateway
                    ? CannotWorkFindings::gatewayIsItself($client, $place)
                    : null,
            ]),
        );
    }

    /** @return array<mixed> the first entries of a list; none of what is no list */
    private function items(mixed $list): array
    {
        return is_array($list) ? array_slice($list, 0, TextBudget::ITEMS, true) : [];
    }
}
