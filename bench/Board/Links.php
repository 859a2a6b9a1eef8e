<?php

declare(strict_types=1);

namespace Bench\Board;

/** The socket and the radio, as network-config or wpa_supplicant.conf set them up. */
final readonly class Links
{
    public bool $up;

    public ?string $address;

    /** @var list<string> */
    public array $screen;

    /**
     * @param  array<string, string>  $files
     * @param  array<string, string>  $air
     */
    public function __construct(array $files, bool $socket, private array $air)
    {
        $text = $files['network-config'] ?? null;
        if ($text === null) {
            // A plain image asks for an address by itself; the radio is set up by a file of its own.
            $this->up = $socket || $this->joins(Supplicant::networks($files['wpa_supplicant.conf'] ?? ''));
            $this->address = null;
            $this->screen = [];

            return;
        }
        $data = Settings::read($text);
        $data = is_array($data) && is_array($data['network'] ?? null) ? $data['network'] : $data;
        if (is_array($data) && ($data['config'] ?? null) === 'disabled') {
            $this->up = $socket;
            $this->address = null;
            $this->screen = [];

            return;
        }
        if (is_array($data) && ($data['version'] ?? null) === 1) {
            $data = self::fromVersion1($data);
        }
        if (! is_array($data) || ($data['version'] ?? null) !== 2) {
            // One that cannot be read takes the place of the image's own all the same.
            $this->up = false;
            $this->address = null;
            $this->screen = ['network-config: not understood, no link set up'];

            return;
        }
        $link = ($socket ? $this->wired($data) : null) ?? $this->wireless($data);
        $addresses = $link['addresses'] ?? null;
        $static = is_array($addresses) && is_string($addresses[0] ?? null) ? explode('/', $addresses[0])[0] : null;
        $this->up =
            $link !== null &&
            (($link['dhcp4'] ?? false) === true ||
                ($static !== null && filter_var($static, FILTER_VALIDATE_IP) !== false));
        $this->address = $this->up && ($link['dhcp4'] ?? false) !== true ? $static : null;
        $this->screen = $this->up ? [] : ['network-config: no link asks for an address'];
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed> the same in the words of version 2
     */
    private static function fromVersion1(array $data): array
    {
        $ethernets = [];
        foreach ((array) ($data['config'] ?? []) as $link) {
            if (is_array($link) && ($link['type'] ?? '') === 'physical') {
                $subnets = is_array($link['subnets'] ?? null) ? $link['subnets'] : [];
                $subnet = is_array($subnets[0] ?? null) ? $subnets[0] : [];
                $ethernets[is_scalar($link['name'] ?? null) ? (string) $link['name'] : ''] = in_array(
                    $subnet['type'] ?? '',
                    ['dhcp', 'dhcp4'],
                    true,
                )
                    ? ['dhcp4' => true]
                    : ['addresses' => array_filter([$subnet['address'] ?? null])];
            }
        }

        return ['version' => 2, 'ethernets' => $ethernets];
    }

    /**
     * The socket itself, or the bridge that it is part of.
     *
     * @param  array<mixed>  $data
     * @return ?array<mixed>
     */
    private function wired(array $data): ?array
    {
        foreach (is_array($data['ethernets'] ?? null) ? $data['ethernets'] : [] as $id => $link) {
            $link = is_array($link) ? $link : [];
            $match = is_array($link['match'] ?? null) ? $link['match'] : [];
            $name = $match['name'] ?? (isset($match['macaddress']) ? 'eth0' : $id);
            if (! is_string($name) || ! fnmatch($name, 'eth0')) {
                continue;
            }
            foreach (is_array($data['bridges'] ?? null) ? $data['bridges'] : [] as $bridge) {
                if (is_array($bridge) && in_array($id, (array) ($bridge['interfaces'] ?? []), true)) {
                    $link = $bridge;
                }
            }
            if (($link['dhcp4'] ?? false) === true || is_array($link['addresses'] ?? null)) {
                return $link;
            }
        }

        return null;
    }

    /**
     * @param  array<mixed>  $data
     * @return ?array<mixed>
     */
    private function wireless(array $data): ?array
    {
        foreach (is_array($data['wifis'] ?? null) ? $data['wifis'] : [] as $link) {
            $networks = [];
            $link = is_array($link) ? $link : [];
            $points = $link['access-points'] ?? [];
            foreach (is_array($points) ? $points : [] as $ssid => $point) {
                $point = is_array($point) ? $point : [];
                $auth = is_array($point['auth'] ?? null) ? $point['auth'] : [];
                $secret = $point['password'] ?? ($auth['password'] ?? '');
                $networks[(string) $ssid] = is_string($secret) ? self::key($secret, (string) $ssid) : 'no text';
            }
            if ($this->joins($networks)) {
                return $link;
            }
        }

        return null;
    }

    /** @param  array<string, string>  $networks name => key */
    private function joins(array $networks): bool
    {
        foreach ($networks as $ssid => $key) {
            if (($this->air[$ssid] ?? null) === $key) {
                return true;
            }
        }

        return false;
    }

    /** A passphrase becomes its key; 64 hexadecimal digits are one. */
    public static function key(string $secret, string $ssid): string
    {
        return $secret === '' || preg_match('/^[0-9a-f]{64}$/iD', $secret) === 1
            ? strtolower($secret)
            : hash_pbkdf2('sha1', $secret, $ssid, 4096, 64);
    }
}
