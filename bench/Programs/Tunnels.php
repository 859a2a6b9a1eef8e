<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Services\Tunnel;

/** The tunnel's tools. Its keys are made up from the board's hardware address; no real one is ever kept. */
final class Tunnels implements Program
{
    public function names(): array
    {
        return ['wg', 'wg-quick', 'qrencode'];
    }

    public function run(Call $call): Said
    {
        return match ($call->words[0].' '.($call->plain()[0] ?? '')) {
            'wg genkey' => Said::ok("kept on the board\n"),
            'wg pubkey' => Said::ok($this->key("{$call->board->mac} {$call->in}")."\n"),
            'wg show' => Said::ok($this->show($call)),
            default => $call->words[0] === 'qrencode' ? Said::ok("█▀▀▀█\n█ ▄ █\n▀▀▀▀▀\n") : Said::ok(),
        };
    }

    private function key(string $of): string
    {
        return base64_encode(hash('sha256', $of, true));
    }

    /** Every device that the endpoint knows has just come through: the bench's phone stands outside. */
    private function show(Call $call): string
    {
        $service = new Tunnel();
        $doors = $call->board->machine->isActive($service->unit()) ? $service->doors($call->board) : [];
        if ($doors === []) {
            return '';
        }
        $text = "interface: wg0\n  public key: {$this->key(
            $call->board->mac,
        )}\n  private key: (hidden)\n  listening port: {$doors[0]->port}\n";
        preg_match_all(
            '/^PublicKey = (\S+)\nAllowedIPs = (\S+)$/m',
            $call->board->machine->read(Tunnel::FILE) ?? '',
            $peers,
            PREG_SET_ORDER,
        );
        foreach ($peers as [, $key, $allowed]) {
            $text .= "\npeer: {$key}\n  endpoint: 198.51.100.23:40112\n  allowed ips: {$allowed}\n  latest handshake: 21 seconds ago\n  transfer: 12.40 KiB received, 31.06 KiB sent\n";
        }

        return $text;
    }
}
