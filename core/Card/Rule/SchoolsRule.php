<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\KernelLine;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** Two schools on one card that contradict each other, and schools that the image does not understand. */
final class SchoolsRule implements CardRule
{
    private const FILES = [
        'user-data' => CardSchool::Declarative,
        'network-config' => CardSchool::Declarative,
        'userconf.txt' => CardSchool::BootFiles,
        'wpa_supplicant.conf' => CardSchool::BootFiles,
    ];

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        $user = self::data('user-data', $folder);
        $network = self::data('network-config', $folder);
        $network = is_array($network['network'] ?? null) ? $network['network'] : $network;

        return $this->unread($folder, $context)
            ->and($this->accounts($user, $folder))
            ->and($this->names($user, $folder))
            ->and($this->addresses($network, $folder));
    }

    private function unread(CardFolder $folder, CardContext $context): Findings
    {
        $findings = Findings::of();
        $image = $context->image;
        if ($image === null) {
            return $findings;
        }
        foreach (self::FILES as $file => $school) {
            if ($folder->has($file) && ! $image->understands($school)) {
                $findings = $findings->and([FileRuleFindings::schoolNotRead($image, $file, Place::file($file, 1))]);
            }
        }

        return $findings;
    }

    /** @param  array<mixed>  $user */
    private function accounts(array $user, CardFolder $folder): Findings
    {
        $first = is_array($user['users'] ?? null) ? $user['users'][0] ?? null : null;
        $name = is_array($first) && is_string($first['name'] ?? null) ? $first['name'] : null;
        $other = $folder->has('userconf.txt') ? explode(':', $folder->lines('userconf.txt')[0])[0] : null;

        return $name === null || $other === null || $name === $other
            ? Findings::of()
            : Findings::of(RuleFindings::twoAccounts($name, $other, Place::file('userconf.txt', 1)));
    }

    /** @param  array<mixed>  $user */
    private function names(array $user, CardFolder $folder): Findings
    {
        $name = is_string($user['hostname'] ?? null) ? strtolower($user['hostname']) : null;
        $meta = self::data('meta-data', $folder)['local-hostname'] ?? null;
        $kernel = explode(':', KernelLine::parse($folder->text('cmdline.txt'))->values('ip')[0] ?? '')[4] ?? '';
        $others = ['meta-data' => is_string($meta) ? strtolower($meta) : '', 'cmdline.txt' => strtolower($kernel)];
        foreach ($others as $file => $other) {
            if ($name !== null && $other !== '' && $other !== $name) {
                return Findings::of(RuleFindings::twoNames($name, $file, $other, Place::file($file, 1)));
            }
        }

        return Findings::of();
    }

    /** @param  array<mixed>  $network */
    private function addresses(array $network, CardFolder $folder): Findings
    {
        $kernel = explode(':', KernelLine::parse($folder->text('cmdline.txt'))->values('ip')[0] ?? '');
        if (count($kernel) < 4 || $kernel[0] === '') {
            return Findings::of();
        }
        $links = is_array($network['ethernets'] ?? null) ? $network['ethernets'] : [];
        $given = array_map(
            fn (mixed $address): string => is_string($address) ? explode('/', $address)[0] : '',
            array_merge(
                ...array_map(
                    fn (mixed $link): array => is_array($link) && is_array($link['addresses'] ?? null)
                        ? array_values($link['addresses'])
                        : [],
                    array_values($links),
                ),
            ),
        );

        return $given === [] || in_array($kernel[0], $given, true)
            ? Findings::of()
            : Findings::of(NetworkRuleFindings::twoAddresses($kernel, $given, Place::file('cmdline.txt', 1)));
    }

    /** @return array<mixed> */
    private static function data(string $file, CardFolder $folder): array
    {
        return $folder->has($file) ? CardDocument::read($file, $folder->text($file))->data ?? [] : [];
    }
}
