<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The bench's line to the world, and what its router lets in by it. */
final class BenchLineController
{
    public function __construct(private readonly BenchClient $bench)
    {
    }

    public function kind(Request $request): RedirectResponse
    {
        return $this->tell(['do' => 'line', 'kind' => $request->string('kind')->value()]);
    }

    /** The line is cut for a moment; one that changes comes back with another address. */
    public function redial(Request $request): RedirectResponse
    {
        return $this->tell(['do' => 'redial', 'follows' => $request->boolean('follows')]);
    }

    /** Which name servers the router hands out; none is the router itself. */
    public function dns(Request $request): RedirectResponse
    {
        $said = preg_split('/[\s,]+/', $request->string('bench_dns')->value(), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (array_filter($said, fn (string $one): bool => ! Ipv4::isOne($one)) !== []) {
            return redirect()
                ->route('bench')
                ->withInput(['bench_dns' => implode(' ', $said)])
                ->with('told', 'IPv4 addresses, with blanks between.');
        }

        return $this->tell(['do' => 'dns', 'servers' => (object) $said]);
    }

    /** How fast the line is, in Mbit/s; 0 is no internet. */
    public function rate(Request $request): RedirectResponse
    {
        $said = $request->string('mbit')->trim()->value();

        return preg_match('/^\d{1,5}(\.\d)?$/D', $said) === 1
            ? $this->tell(['do' => 'rate', 'mbit' => (float) $said])
            : redirect()->route('bench')->with('told', 'Mbit/s as a number; 0 is no internet.');
    }

    /** "8443 tcp 172.22.8.11 443" is let in; "8443 tcp" alone is let in no more. */
    public function opening(Request $request): RedirectResponse
    {
        $said = trim($request->string('opening')->value());
        $words = preg_split('/\s+/', $said) ?: [];
        [$port, $protocol, $address, $inside] = [...$words, '', '', '', ''];
        $fits =
            self::isPort($port) &&
            in_array($protocol, ['tcp', 'udp'], true) &&
            (count($words) === 2 || (count($words) === 4 && Ipv4::isOne($address) && self::isPort($inside)));
        if (! $fits) {
            return redirect()
                ->route('bench')
                ->withInput(['opening' => mb_substr($said, 0, 40)])
                ->with('told', 'It is written as: port outside, tcp or udp, address, port inside.');
        }
        $at = ['port' => (int) $port, 'protocol' => $protocol];

        return $this->tell(
            count($words) === 2
                ? ['do' => 'shut'] + $at
                : ['do' => 'open', 'address' => $address, 'inside' => (int) $inside] + $at,
        );
    }

    private static function isPort(string $said): bool
    {
        return preg_match('/^\d{1,5}$/D', $said) === 1 && Port::tryOf((int) $said) !== null;
    }

    /** @param  array<string, mixed>  $request */
    private function tell(array $request): RedirectResponse
    {
        try {
            $this->bench->ask($request);
        } catch (BenchAway $away) {
            return redirect()->route('bench')->with('told', $away->getMessage());
        }

        return redirect()->route('bench');
    }
}
