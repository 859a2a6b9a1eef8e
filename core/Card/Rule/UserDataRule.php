<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\CloudKeys;
use Burrow\Card\Read\CloudValues;
use Burrow\Card\Read\PlainScalar;
use Burrow\Card\Read\UserDataKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\Hostname;
use Burrow\Net\TimeZone;
use Burrow\Text\KnownWords;

/** The checks of `user-data`: is it read at all, can somebody log in, is remote login on, is the name one. */
final class UserDataRule implements CardRule
{
    /** Keys that are named one by one; a file with more of them is no cloud-config. */
    private const MOST_UNKNOWN = 20;

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has('user-data')) {
            return Findings::of();
        }
        $text = $folder->text('user-data');
        $kind = UserDataKind::of($text);
        if ($kind === null) {
            return Findings::of(RuleFindings::noCloudConfigLine(Place::file('user-data', 1)));
        }
        if ($kind !== UserDataKind::Settings) {
            return Findings::of(RuleFindings::userDataOfAnotherKind($kind, Place::file('user-data', 1)));
        }
        $document = CardDocument::read('user-data', $text);
        if ($document->data === null) {
            return $document->findings;
        }

        return $this->keys($document, $document->data)
            ->and($this->values($document, $document->data))
            ->and($this->name($document, $document->data, $folder, $context))
            ->and($this->timeZone($document, $document->data))
            ->and((new LoginsJudge($document))->judge($document->data))
            ->and($this->remoteLogin($document->data, $context));
    }

    /** @param  array<mixed>  $data */
    private function keys(CardDocument $document, array $data): Findings
    {
        $unknown = array_filter(
            array_keys($data),
            fn (int|string $key): bool => ! CloudKeys::top()->has((string) $key),
        );
        $findings = array_map(
            fn (int|string $key): Finding => $this->unknown($document, [$key], CloudKeys::top()),
            array_slice(array_values($unknown), 0, self::MOST_UNKNOWN),
        );
        foreach (is_array($data['users'] ?? null) ? $data['users'] : [] as $index => $user) {
            if (count($findings) >= self::MOST_UNKNOWN) {
                break;
            }
            foreach (is_array($user) ? array_slice(array_keys($user), 0, self::MOST_UNKNOWN) : [] as $key) {
                if (! CloudKeys::ofAnAccount()->has(str_replace('-', '_', (string) $key))) {
                    $findings[] = $this->unknown($document, ['users', $index, $key], CloudKeys::ofAnAccount());
                }
            }
        }

        return Findings::of(...$findings);
    }

    /**
     * @param  array<mixed>  $data
     * @return list<Finding>
     */
    private function values(CardDocument $document, array $data): array
    {
        return array_map(
            fn (array $fault): Finding => RuleFindings::valueKind(
                (string) $fault[0][0],
                $fault[1],
                $fault[2],
                $document->place($fault[0]),
            ),
            array_slice(CloudValues::faults($data), 0, self::MOST_UNKNOWN),
        );
    }

    /**
     * @param  non-empty-list<int|string>  $path
     */
    private function unknown(CardDocument $document, array $path, KnownWords $known): Finding
    {
        $key = (string) $path[count($path) - 1];
        $atTheMargin = count($path) === 1;
        $meant = $known->nearest($key);
        $do = match (true) {
            ! $atTheMargin && CloudKeys::top()->has($key) => 'It is a key of the whole file: begin it at the margin.',
            $atTheMargin && CloudKeys::ofAnAccount()->has($key) => 'It is a key of an account: put it under users.',
            default => 'It may belong under another key; look at the indentation.',
        };

        return RuleFindings::unknownKey($key, $meant, $do, $document->place($path));
    }

    /** @param  array<mixed>  $data */
    private function name(CardDocument $document, array $data, CardFolder $folder, CardContext $context): Findings
    {
        if (! array_key_exists('hostname', $data)) {
            $named =
                isset($data['fqdn']) ||
                isset(CardDocument::read('meta-data', $folder->text('meta-data'))->data['local-hostname']);

            return $named ? Findings::of() : Findings::of(RuleFindings::noHostname(Place::file('user-data', 1)));
        }
        $name = $data['hostname'];
        $checked =
            is_string($name) &&
            (($name !== '' && $document->raw(['hostname']) === '') ||
                PlainScalar::isText($document->raw(['hostname'])))
                ? Hostname::check($name)->and(
                    in_array(strtolower($name), $context->names, true)
                        ? [AddressFindings::nameTaken($name, 'Choose another.', null)]
                        : [],
                )
                : Findings::of(RuleFindings::hostnameNotText());

        return Findings::of(
            ...array_map(fn (Finding $f): Finding => $f->at($document->place(['hostname'])), $checked->list),
        );
    }

    /** @param  array<mixed>  $data */
    private function timeZone(CardDocument $document, array $data): Findings
    {
        $zone = $data['timezone'] ?? null;

        return $zone === null || (is_string($zone) && TimeZone::isKnown($zone))
            ? Findings::of()
            : Findings::of(RuleFindings::timeZone($zone, $document->place(['timezone'])));
    }

    /**
     * Many images ship with remote login on; which one is on the card decides.
     *
     * @param  array<mixed>  $data
     */
    private function remoteLogin(array $data, CardContext $context): Findings
    {
        $commands =
            json_encode([$data['runcmd'] ?? [], $data['bootcmd'] ?? []], JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '';
        if (
            preg_match('/\bsshd?\b/', $commands) === 1 ||
            in_array('openssh-server', (array) ($data['packages'] ?? []), true)
        ) {
            return Findings::of();
        }
        $found = 'Nothing in user-data switches remote login on.';
        $do = 'Add “runcmd: [[systemctl, enable, --now, ssh]]”.';

        return Findings::of(
            $context->image === null
                ? RuleFindings::remoteLoginUnsaid($found, $do, Place::file('user-data'))
                : RuleFindings::remoteLoginOff($found, $do, Place::file('user-data')),
        );
    }
}
