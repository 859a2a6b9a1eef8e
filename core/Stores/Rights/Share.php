<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

use Burrow\Intake\Shares\SmbConf;

/** The rules of one share of smb.conf(5), as far as they say who may do what. */
final readonly class Share
{
    /** A key and what it is another word for; the value is turned round where it begins with "!". */
    private const SYNONYMS = [
        'directory' => 'path',
        'writable' => '!readonly',
        'writeable' => '!readonly',
        'writeok' => '!readonly',
        'public' => 'guestok',
        'onlyguest' => 'guestonly',
        'group' => 'forcegroup',
    ];

    /** Sections that are no folder of their own. */
    private const NOT = ['global', 'homes', 'printers', 'print$', 'ipc$'];

    /** @param  array<string, string>  $said  by key, synonyms resolved */
    private function __construct(public string $name, private array $said)
    {
    }

    /** @return list<self> what is said in [global] holds for all that say nothing else */
    public static function all(string $text): array
    {
        $by = ['global' => []];
        foreach (SmbConf::parameters($text) as $one) {
            [$key, $value] = self::resolved($one['key'], $one['value']);
            $by[$one['section']][$key] = $value;
        }
        $global = $by['global'];
        $shares = [];
        foreach ($by as $name => $said) {
            if (! in_array(strtolower((string) $name), self::NOT, true) && ($said['path'] ?? '') !== '') {
                $shares[] = new self((string) $name, $said + $global);
            }
        }

        return $shares;
    }

    /** @return array{string, string} the key it stands for, and the value in its terms */
    public static function resolved(string $key, string $value): array
    {
        $is = self::SYNONYMS[$key] ?? $key;
        $turned = $is[0] === '!';

        return [ltrim($is, '!'), $turned ? (self::isYes($value) ? 'no' : 'yes') : $value];
    }

    public function path(): string
    {
        return rtrim(trim($this->said['path'] ?? '', '"'), '/') ?: '/';
    }

    public function is(string $key, bool $unless): bool
    {
        return isset($this->said[$key]) ? self::isYes($this->said[$key]) : $unless;
    }

    public function text(string $key): string
    {
        return trim($this->said[$key] ?? '', ' "');
    }

    /** @return list<string> */
    public function list(string $key): array
    {
        preg_match_all('/"([^"]{1,100})"|([^\s,"]{1,100})/', $this->said[$key] ?? '', $all, PREG_SET_ORDER);

        return array_values(array_filter(array_map(fn (array $one): string => trim($one[0], '"'), $all)));
    }

    /**
     * Somebody is in a list of names and groups; "@" and "+" stand before a group, "%S" for the share's own name.
     *
     * @param  list<string>  $groups
     */
    public function names(string $key, string $user, array $groups): bool
    {
        foreach ($this->list($key) as $one) {
            $name = ltrim($one, '@+&');
            if (
                $name === $one
                    ? strcasecmp(str_replace('%S', $this->name, $one), $user) === 0
                    : in_array($name, $groups, true)
            ) {
                return true;
            }
        }

        return false;
    }

    private static function isYes(string $value): bool
    {
        return preg_match('/^(?:yes|true|1|on)$/i', trim($value)) === 1;
    }
}
