<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Probe\NameProbe;
use App\Probe\Target;
use Burrow\Intake\Intake;
use Burrow\Intake\Lookup\Answer;
use Burrow\Net\Address;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Burrow\Reach\Write\NameKeeper;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use InvalidArgumentException;

/** Where the house's name leads: asked of the house's resolver, or pasted from somewhere else. */
final class NameController
{
    public function __invoke(Request $request, NameProbe $names): RedirectResponse
    {
        $network = Network::home();
        $name = mb_strtolower((string) $network->outside_name);
        $pasted = $request->string('pasted_name')->value();
        $told = match (true) {
            $name === '' => 'The house has no name in the record yet.',
            Ipv4::tryParse((string) $network->wan) === null => 'Its address from outside is not in the record; type it in Settings, where the router’s page shows it.',
            trim($pasted) === '' => $this->asked($network, $name, $names),
            default => $this->pasted($network, $name, $pasted),
        };

        return redirect()
            ->to(route('reach').'#name')
            ->withInput(['pasted_name' => mb_substr($pasted, 0, 5_000)])
            ->with('told', $told);
    }

    /** A script that keeps the name current from a box; what is secret in it is typed there. */
    public function keeper(): Response
    {
        abort_unless(auth()->user()?->isKeeper() === true, 403);
        try {
            $script = NameKeeper::script((string) Network::home()->outside_name);
        } catch (InvalidArgumentException) {
            abort(404);
        }

        return response($script, 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="house-name.sh"',
        ]);
    }

    private function asked(Network $network, string $name, NameProbe $names): string
    {
        $resolver = Ipv4::tryParse((string) $network->dns);
        if ($resolver === null) {
            return 'The house’s resolver is not in the record (Settings); ask from somewhere else and paste what it prints.';
        }
        $onBench = Box::query()->where('address', (string) $resolver)->where('on_bench', true)->exists();
        try {
            $answer = $names->ask(Target::in($network, $resolver, 53, $onBench), $name, Protocol::Udp);
        } catch (InvalidArgumentException $outside) {
            return $outside->getMessage();
        }
        // SERVFAIL and its like say nothing of the name (RFC 1035 4.1.1).
        if ($answer->code !== 0 && $answer->code !== 3) {
            return "{$resolver} gave no answer; nothing was written down.";
        }

        return $this->note($network, $answer->addresses);
    }

    private function pasted(Network $network, string $name, string $pasted): string
    {
        $reading = Intake::standard()->read('lookup', $pasted);
        $about = array_filter(
            $reading->all(Answer::class),
            fn (Answer $one): bool => $one->name === null || rtrim(mb_strtolower($one->name), '.') === $name,
        );
        $addresses = array_filter(array_map(fn (Answer $one): ?string => $one->value, $about));
        $addresses = array_values(array_filter($addresses, fn (string $one): bool => Ipv4::isOne($one)));
        $unknown = array_filter($about, fn (Answer $one): bool => $one->status === 'NXDOMAIN') !== [];

        return $addresses === [] && ! $unknown
            ? "Nothing in this text says where {$name} leads."
            : $this->note($network, $addresses);
    }

    /** @param  list<string>  $addresses  that were answered */
    private function note(Network $network, array $addresses): string
    {
        $wan = (string) $network->wan;
        $inside = array_filter(
            $addresses,
            fn (string $one): bool => Ipv4::tryParse($one)?->isPrivate() === true,
        );
        if ($inside !== []) {
            return 'The house’s own resolver leads it to '.
                implode(', ', $inside).
                ', an address inside. That is right at home and says nothing of the world; ask from a phone’s connection and paste it.';
        }
        $here = in_array($wan, $addresses, true);
        $led = $here ? $wan : Address::standard($addresses[0] ?? '');
        $was = $network->name_wrong_since;
        $network->update([
            'name_led_to' => $led,
            'name_asked_at' => now(),
            'name_wrong_since' => $here ? null : $was ?? now(),
        ]);
        if ($here !== ($was === null)) {
            JournalEntry::write(
                $network,
                'name',
                $here
                    ? "{$network->outside_name} leads here again."
                    : "{$network->outside_name} leads to ".($led ?? 'nobody').', not here.',
            );
        }

        return $here
            ? "{$network->outside_name} leads here."
            : "{$network->outside_name} leads to ".($led ?? 'nobody').'.';
    }
}
