<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Card\CardFindings;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\KnownWords;
use Burrow\Text\TextBudget;

/**
 * `wpa_supplicant.conf` line by line, as the program's own reader takes it (config_file.c): one line that it does not
 * understand drops the file.
 */
final readonly class WpaFile
{
    /** Faults that are named one by one before the rest is left. */
    private const MOST = 40;

    /**
     * @param  list<WpaNetwork>  $networks
     * @param  bool  $isWhole  it was read to its end
     */
    private function __construct(
        public array $networks,
        public ?WpaField $country,
        public Findings $findings,
        public bool $isWhole,
    ) {
    }

    /** @param  list<string>  $lines */
    public static function read(string $name, array $lines): self
    {
        $findings = Findings::of();
        $networks = [];
        $country = null;
        // The block that is open: its place and fields, or true for one of another kind.
        $block = null;
        foreach ($lines as $index => $raw) {
            $line = trim(self::withoutComment($raw));
            $place = Place::file($name, $index + 1, 1 + strlen($raw) - strlen(ltrim($raw)));
            if ($line === '' || ltrim($raw)[0] === '#') {
                continue;
            }
            $opens = preg_match('/^network\s*=\s*\{?$/', $line) === 1;
            $tooMany = match (true) {
                count($findings) >= self::MOST => CardFindings::notAllNamed(self::MOST, $place),
                $opens && count($networks) >= TextBudget::ITEMS => CardFindings::onlyFirst('networks', $place),
                default => null,
            };
            if ($tooMany !== null) {
                return new self($networks, $country, $findings->and([$tooMany]), false);
            }
            if ($opens) {
                if ($block instanceof WpaNetwork) {
                    $findings = $findings->and([self::unread('A network block is not closed.', $block->place)]);
                    $networks[] = $block;
                }
                $findings =
                    $line === 'network={'
                        ? $findings
                        : $findings->and([
                            self::unread('A network block begins with “network={”, without blanks.', $place),
                        ]);
                $block = new WpaNetwork($place, []);
            } elseif ($block === true) {
                // Logins for public hot spots and certificates are of no use on a home network.
                $block = $line === '}' ? null : true;
            } elseif ($block instanceof WpaNetwork && $line === '}') {
                $networks[] = $block;
                $block = null;
            } elseif ($block === null && preg_match('/^(?:cred|blob-base64-[^=]*)=\{$/', $line) === 1) {
                $block = true;
            } elseif (preg_match('/^(\w+)(\s*=\s*)(.*)$/', $line, $match) !== 1) {
                $findings = $findings->and([
                    self::unread('A line is “name=value”, in a block and outside.', $place),
                ]);
            } elseif (in_array($match[1], ['network', 'cred'], true)) {
                $findings = $findings->and([self::unread("A block begins with “{$match[1]}={” alone.", $place)]);
            } elseif ($block instanceof WpaNetwork) {
                $findings = $findings->and(self::field($match[1], $match[2], $match[3], $place));
                $block = new WpaNetwork(
                    $block->place,
                    [$match[1] => new WpaField($match[3], $place)] + $block->fields,
                );
            } else {
                $findings = $findings->and(self::global($match[1], $match[2], $match[3], $place));
                $country =
                    $match[1] === 'country'
                        ? new WpaField(substr($match[2], (int) strpos($match[2], '=') + 1).$match[3], $place)
                        : $country;
            }
        }
        if ($block instanceof WpaNetwork) {
            $findings = $findings->and([self::unread('A network block is not closed.', $block->place)]);
            $networks[] = $block;
        }

        return new self($networks, $country, $findings, true);
    }

    /** @return list<Finding> */
    private static function global(string $name, string $equals, string $value, Place $place): array
    {
        if ($equals[0] !== '=') {
            return [self::blanks($place)];
        }

        if (! WpaFields::top()->has($name)) {
            return [self::unknown($name, WpaFields::top(), WpaFields::ofANetwork(), $place)];
        }

        return self::value($name, $value, false, $place);
    }

    /**
     * A blank behind the “=” is taken before numbers and lists of words, and not before texts and addresses.
     *
     * @return list<Finding>
     */
    private static function field(string $name, string $equals, string $value, Place $place): array
    {
        $minds = str_starts_with($value, '"') || in_array($name, ['ssid', 'psk', 'bssid'], true);
        if ($equals !== '=' && ($minds || $equals[0] !== '=')) {
            return [self::blanks($place)];
        }

        if (! WpaFields::ofANetwork()->has($name)) {
            return [self::unknown($name, WpaFields::ofANetwork(), WpaFields::top(), $place)];
        }

        // What is wrong with a name or a key is said by those who know what they are for.
        return in_array($name, ['ssid', 'psk'], true) ? [] : self::value($name, $value, true, $place);
    }

    /** @return list<Finding> */
    private static function value(string $name, string $value, bool $inBlock, Place $place): array
    {
        $takes = WpaValues::against($name, $value, $inBlock);

        return $takes === null ? [] : [ReadFindings::wpaValue($name, $value, $takes, $place)];
    }

    /** One that is like a known field is a slip; any other may be younger than this list. */
    private static function unknown(string $name, KnownWords $known, KnownWords $elsewhere, Place $place): Finding
    {
        if ($elsewhere->has($name)) {
            return ReadFindings::wpaFieldMisplaced($name, $place);
        }
        $meant = $known->nearest($name) ?? $known->nearest(strtolower($name));

        return $meant !== null
            ? ReadFindings::wpaFieldMisspelt($name, $meant, $place)
            : ReadFindings::wpaUnknownField($name, $place);
    }

    /**
     * A “#” after the last quote of a line begins a comment (wpa_config_get_line in wpa_supplicant's config_file.c).
     */
    private static function withoutComment(string $line): string
    {
        [$first, $last] = [strpos($line, '"'), strrpos($line, '"')];
        $mark = strpos($line, '#', $first === $last ? 0 : (int) $last);

        return $mark === false ? $line : substr($line, 0, $mark);
    }

    private static function blanks(Place $place): Finding
    {
        return ReadFindings::wpaBlanks($place);
    }

    private static function unread(string $found, Place $place): Finding
    {
        return ReadFindings::wpaDoesNotParse($found, $place);
    }
}
