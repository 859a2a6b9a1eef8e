<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Judgement\Findings;
use JsonSerializable;

/** What is told of a tunnel that was described: its files, what speaks against it, and its arithmetic. */
final readonly class TunnelAnswer implements JsonSerializable
{
    private function __construct(public ?TunnelPlan $plan, public Findings $findings)
    {
    }

    public static function to(string $values, string $schema, string $name): self
    {
        return new self(...TunnelDescription::read($values, $schema, $name));
    }

    /** @return array<string, string> by the name that the file is to have */
    public function files(): array
    {
        if ($this->plan === null) {
            return [];
        }
        $files = ['endpoint' => $this->plan->endpointFile()];
        foreach ($this->plan->devices as $device) {
            $profile = $this->plan->profile($device);
            $profile === null || ($files[$device->name] = $profile);
        }

        return $files;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $plan = $this->plan;

        return [
            'files' => (object) $this->files(),
            'findings' => $this->findings,
            'net' => $plan?->net->prefix(),
            'endpoint_address' => $plan?->net->endpoint(),
            'mtu_bytes' => $plan?->mtu->bytes,
            'mtu' => $plan?->mtu->bytes,
            'working' => $plan?->mtu->working(),
            'devices' => array_map(
                fn (PlannedDevice $one): array => [
                    'name' => $one->name,
                    'address' => $one->address,
                    'everything' => $one->everything,
                    'keepalive_s' => $one->keepalive,
                    'public_key' => $one->publicKey,
                ],
                $plan->devices ?? [],
            ),
        ];
    }
}
