<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Network;
use App\Models\Networks;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/**
 * Pages and files to be shown to others when asking for help: what leads to the house or into it is masked. Inner
 * addresses and names of boxes stay, since without them nothing can be understood.
 */
final class MaskForOthers
{
    public const SWITCH = 'show_to_others';

    public function handle(Request $request, Closure $next): AnyResponse
    {
        $response = $next($request);
        if (
            ! ($response instanceof Response) ||
            ! $request->hasSession() ||
            $request->session()->get(self::SWITCH) !== true
        ) {
            return $response;
        }
        $text = $response->getContent();
        if (is_string($text)) {
            $response->setContent($this->masked($text));
        }

        return $response;
    }

    private function masked(string $text): string
    {
        $network = Network::home();
        $words = [
            (string) $network->wan => 'outside-address',
            (string) $network->outside_name => 'outside-name',
        ];
        foreach (Networks::all() as $one) {
            $words[(string) $one->domain] = 'house.example';
            foreach ($one->ssids() as $name) {
                $words[$name] = 'network-name';
            }
        }
        $words = array_filter($words, fn (string $word): bool => $word !== '', ARRAY_FILTER_USE_KEY);
        // As they stand in a page, too.
        foreach ($words as $word => $mask) {
            $words[htmlspecialchars($word, ENT_QUOTES)] = $mask;
        }
        $text = strtr($text, $words);

        return (string) preg_replace(
            [
                // Keys of tunnels, of logins, fingerprints.
                '~(?<![A-Za-z0-9+/])[A-Za-z0-9+/]{43}=~',
                '~\b(ssh-(?:ed25519|rsa)|ecdsa-sha2-nistp\d+) AAAA[A-Za-z0-9+/=]+~',
                '~SHA256:[A-Za-z0-9+/]{43}~',
                // The half of a hardware address that is one device's own.
                '~\b((?:[0-9a-f]{2}:){3})(?:[0-9a-f]{2}:){2}[0-9a-f]{2}\b~i',
            ],
            ['key-masked', '$1 key-masked', 'SHA256:masked', '$1xx:xx:xx'],
            $text,
        );
    }
}
