<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Network;
use App\Models\Networks;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as AnyResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

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
        if (! $request->hasSession() || $request->session()->get(self::SWITCH) !== true) {
            return $response;
        }
        if ($response instanceof StreamedResponse) {
            // A file that is written piece by piece: a word may lie across two pieces, so it is masked as a whole.
            ob_start();
            $response->sendContent();
            $headers = $response->headers->all();
            $response = new Response((string) ob_get_clean(), $response->getStatusCode());
            $response->headers->replace($headers);
        }
        $text = $response instanceof Response ? $response->getContent() : false;
        if ($response instanceof Response && is_string($text)) {
            $response->setContent($this->masked($text));
        }

        return $response;
    }

    private function masked(string $text): string
    {
        $network = Network::home();
        $words = [
            (string) $network->wan => 'outside-address',
            str_replace(['.', ':'], '-', (string) $network->wan) => 'outside-address',
            (string) $network->outside_name => 'outside-name',
        ];
        foreach (Networks::all() as $one) {
            $words[(string) $one->domain] = 'house.example';
            foreach ($one->ssids() as $name) {
                $words[$name] = 'network-name';
            }
        }
        foreach ($words as $word => $mask) {
            $word = trim((string) $word);
            $text = $word === '' ? $text : self::without($text, $word, $mask);
        }

        return (string) preg_replace(
            [
                // Keys of tunnels, of logins, fingerprints.
                '~(?<![A-Za-z0-9+/])[A-Za-z0-9+/]{43}=~',
                '~\b(ssh-(?:ed25519|rsa)|ecdsa-sha2-nistp\d+) AAAA[A-Za-z0-9+/=]+~',
                '~SHA256:[A-Za-z0-9+/]{43}~',
                // The half of a hardware address that is one device's own.
                '~\b((?:[0-9a-f]{2}[:-]){3})(?:[0-9a-f]{2}[:-]){2}[0-9a-f]{2}\b~i',
                '~\b([0-9a-f]{4}\.[0-9a-f]{2})[0-9a-f]{2}\.[0-9a-f]{4}\b~i',
            ],
            ['key-masked', '$1 key-masked', 'SHA256:masked', '$1xx:xx:xx', '$1xx.xxxx'],
            $text,
        );
    }

    /** A word in each of the spellings that pages, files and addresses have for it, in large letters or small. */
    private static function without(string $text, string $word, string $mask): string
    {
        $spelt = array_unique([
            $word,
            htmlspecialchars($word, ENT_QUOTES),
            htmlentities($word, ENT_QUOTES),
            htmlspecialchars(htmlspecialchars($word, ENT_QUOTES), ENT_QUOTES),
            trim((string) json_encode($word), '"'),
            trim((string) json_encode($word, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), '"'),
            rawurlencode($word),
            urlencode($word),
        ]);
        usort($spelt, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $any = implode('|', array_map(fn (string $one): string => preg_quote($one, '~'), $spelt));

        return preg_replace("~{$any}~iu", $mask, $text) ?? (string) preg_replace("~{$any}~i", $mask, $text);
    }
}
