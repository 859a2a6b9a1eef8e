<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Network;
use App\Probe\NameProbe;
use App\Probe\Target;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use InvalidArgumentException;

/**
 * A machine on the bench that wants a name: a desktop computer with multicast DNS, one without, a phone outside. It
 * asks whom the router told it to ask, over real sockets.
 */
final class BenchClientController
{
    public const KINDS = [
        'desktop' => 'a desktop computer',
        'plain' => 'a desktop computer without multicast DNS',
        'phone' => 'a phone outside the house',
    ];

    public function __construct(private readonly BenchClient $bench, private readonly NameProbe $names)
    {
    }

    public function __invoke(Request $request): RedirectResponse
    {
        $name = strtolower(rtrim($request->string('client_name')->trim()->value(), '.'));
        $kind = $request->string('client')->value();
        $back = redirect()
            ->route('bench')
            ->withInput(['client_name' => $name, 'client' => $kind]);
        if (
            ! isset(self::KINDS[$kind]) ||
            preg_match('/^[a-z0-9_](?:[a-z0-9._-]{0,251}[a-z0-9])?$/D', $name) !== 1
        ) {
            return $back->with('told', 'A name, as it would be typed into a browser.');
        }
        try {
            return $back->with('told', ucfirst(self::KINDS[$kind]).': '.$this->asked($kind, $name));
        } catch (BenchAway $away) {
            return $back->with('told', $away->getMessage());
        }
    }

    /** @throws BenchAway */
    private function asked(string $kind, string $name): string
    {
        $status = $this->bench->ask(['do' => 'status']);
        if ($kind === 'phone') {
            $line = is_array($status['line'] ?? null) ? $status['line'] : [];
            $leads = $name === ($line['name'] ?? '') ? $line['named'] ?? '' : '';

            return is_string($leads) && $leads !== ''
                ? "{$name} leads to {$leads}."
                : 'nobody outside knows that name of the house.';
        }
        if (str_ends_with($name, '.local')) {
            $at =
                $kind === 'desktop'
                    ? $this->bench->ask(['do' => 'multicast', 'name' => $name])['address'] ?? null
                    : null;

            return match (true) {
                is_string($at) => "{$name} is at {$at}, by multicast.",
                $kind === 'desktop' => 'nobody answered by multicast.',
                default => 'it does not ask by multicast, and resolvers do not know .local.',
            };
        }
        $inside = is_array($status['inside'] ?? null) ? $status['inside'] : [];
        foreach (is_array($inside['dns'] ?? null) ? $inside['dns'] : [] as $server) {
            $said = $this->at(is_string($server) ? $server : '', $name);
            if ($said !== null) {
                return $said;
            }
        }

        return 'none of the name servers that it was told answered.';
    }

    /** Null while nobody answered; the next one is asked then. */
    private function at(string $server, string $name): ?string
    {
        $address = Ipv4::tryParse($server);
        try {
            $answer =
                $address === null
                    ? null
                    : $this->names->ask(
                        Target::in(Network::home(), $address, 53, true),
                        $name,
                        Protocol::Udp,
                    );
        } catch (InvalidArgumentException) {
            return null;
        }

        return match (true) {
            $answer === null || $answer->code === null => null,
            $answer->addresses !== [] => "{$name} is at ".
                implode(', ', $answer->addresses).
                ", by {$server}.",
            default => "{$server} says ".$answer->words().'.',
        };
    }
}
