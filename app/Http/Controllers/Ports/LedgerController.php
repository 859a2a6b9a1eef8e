<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\Jobs\LookAtCertificates;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Listing;
use App\Models\Network;
use App\Models\Service;
use App\Models\Telling;
use App\Ports\PortForm;
use App\Probe\PageProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use App\Probe\UdpProbe;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\Household\Household;
use Burrow\Intake\Intake;
use Burrow\Intake\Reading;
use Burrow\Judgement\Finding;
use Burrow\Net\Ipv4;
use Burrow\Ports\TypedPort;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use InvalidArgumentException;

/** Rows of the port ledger: written down, changed, taken out, held against what listens, asked. */
final class LedgerController
{
    /** Kinds of pastes that tell what listens. */
    private const KINDS = ['listening', 'containers', Telling::FIREWALL, Telling::GROUPS];

    public function store(Request $request, Household $house, Box $box): RedirectResponse
    {
        $typed = $this->typed($request, $house, $box, null);
        if ($typed->service === null) {
            return $this->back($request, $box, null);
        }
        try {
            $service = Service::query()->create(['box_id' => $box->id] + $this->values($request, $typed));
        } catch (UniqueConstraintViolationException) {
            return redirect()
                ->route('ports', ['box' => $box->name])
                ->with('told', 'It is in the record already.');
        }
        JournalEntry::write(
            $box,
            'port',
            "{$service->port}/{$service->protocol}, {$service->purpose}, is in the record.",
        );

        return redirect()->to(route('ports', ['box' => $box->name])."#port-{$service->id}");
    }

    public function update(Request $request, Household $house, Service $service): RedirectResponse
    {
        $box = $service->box;
        $changed = redirect()
            ->to(route('ports', ['box' => $box->name, 'edit' => $service->id])."#port-{$service->id}")
            ->with(
                'told',
                'This port was changed in another window meanwhile. What stands there now is shown; nothing was written over.',
            );
        $seen = $request->integer('revision');
        if ($seen !== (int) $service->revision) {
            return $changed;
        }
        $typed = $this->typed($request, $house, $box, $service);
        if ($typed->service === null) {
            return $this->back($request, $box, $service);
        }
        $values = $this->values($request, $typed);
        if ($values['access'] !== $service->access) {
            $values['access_since'] = now();
        }
        // Another port was not looked at yet.
        if ($values['port'] !== (int) $service->port || $values['protocol'] !== $service->protocol) {
            $values += ['state' => null, 'looked_at' => null];
        }
        if (! $service->changeFrom($seen, $values)) {
            return $changed;
        }
        JournalEntry::write(
            $box,
            'port',
            "{$service->port}/{$service->protocol}, {$service->purpose}, was changed in the record.",
        );

        return redirect()->to(route('ports', ['box' => $box->name])."#port-{$service->id}");
    }

    public function away(Service $service): RedirectResponse
    {
        $box = $service->box;
        JournalEntry::write(
            $box,
            'port',
            "{$service->port}/{$service->protocol}, {$service->purpose}, was taken out of the record.",
        );
        $service->delete();

        return redirect()
            ->route('ports', ['box' => $box->name])
            ->with('told', 'It is out of the record; the service itself was not touched.');
    }

    /** What the box told of all that listens on it, of its packet filter, or of who may command its engine. */
    public function listening(Request $request, Box $box): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();
        $reading = Intake::standard()->read('auto', $pasted);
        $told = [];
        foreach ([$reading, ...$reading->also] as $one) {
            if ($one->findings->blocks() || ! in_array($one->kind, self::KINDS, true)) {
                continue;
            }
            if (in_array($one->kind, [Telling::FIREWALL, Telling::GROUPS], true)) {
                $told[] = Telling::keep($box, $one, HouseWords::engine(Network::engine())['engine']);
            } elseif (Listing::keep($box, $one) !== null) {
                $told[] =
                    count($one->facts).' places where it listens were read and held against the record.';
            }
        }
        $told = array_filter($told);
        if ($told !== []) {
            JournalEntry::write($box, 'port', "{$box->called()} told what listens on it, or who gets in.");

            return redirect()
                ->route('ports', ['box' => $box->name])
                ->with('told', implode(' ', $told));
        }

        return redirect()
            ->to(route('ports', ['box' => $box->name]).'#listening')
            ->withInput(['pasted' => mb_substr($pasted, 0, 20_000)])
            ->with('listening_findings', $this->saysNothing($reading));
    }

    /** Asks every port of the box now, over TCP and UDP, and pages that speak TLS for their certificate. */
    public function ask(Box $box, TcpProbe $tcp, UdpProbe $udp, PageProbe $pages): RedirectResponse
    {
        $back = redirect()->route('ports', ['box' => $box->name]);
        $address = Ipv4::tryParse((string) $box->address);
        if ($address === null) {
            return $back->with('told', 'It has no address yet; nobody was asked.');
        }
        $box->load(['network', 'services']);
        try {
            foreach ($box->services->reject(fn (Service $one): bool => $one->isForItself()) as $service) {
                $target = Target::of($box, $address, (int) $service->port);
                $service->update([
                    'state' => ($service->protocol === 'udp'
                        ? $udp->ask($target, (int) $service->port)
                        : $tcp->ask($target)
                    )->value,
                    'looked_at' => now(),
                ]);
            }
            LookAtCertificates::of($box, $tcp, $pages);
        } catch (InvalidArgumentException $outside) {
            return $back->with('told', $outside->getMessage());
        }

        return $back->with(
            'told',
            'Asked just now. A UDP port that stays silent may be open: only what the box itself lists tells.',
        );
    }

    private function typed(Request $request, Household $house, Box $box, ?Service $service): TypedPort
    {
        $typed = [];
        foreach (PortForm::FIELDS as $field) {
            $typed[$field] = $request->string($field)->value();
        }

        return PortForm::judged($house, $box, $service, $typed);
    }

    /** @return array<string, mixed> */
    private function values(Request $request, TypedPort $typed): array
    {
        $service = $typed->service;
        $orNull = fn (string $field): ?string => mb_substr(trim($request->string($field)->value()), 0, 120) ?:
        null;

        return $service === null
            ? []
            : [
                'port' => $service->port->number,
                'protocol' => $service->protocol->value,
                'purpose' => $service->purpose,
                'bound' => $service->bound,
                'inner_port' => $service->inner,
                'scheme' => $service->scheme ?: null,
                'path' => $service->path ?: null,
                'reach' => $service->reach->value,
                'sources' => implode(' ', $service->from) ?: null,
                'access' => $service->access?->value,
                'codes_kept' => $orNull('codes_kept'),
                'sends_home' => $orNull('sends_home'),
                'clients' => $typed->clients === [] ? null : $typed->clients,
            ];
    }

    /** To the form, which says what is wrong, with everything that was typed. */
    private function back(Request $request, Box $box, ?Service $service): RedirectResponse
    {
        $form = $service === null ? ['add' => 1] : ['edit' => $service->id];

        return redirect()
            ->to(route('ports', ['box' => $box->name] + $form).'#port-form')
            ->withInput($request->only(PortForm::FIELDS));
    }

    /**
     * Why a text tells nothing of what listens.
     *
     * @return list<string>
     */
    private function saysNothing(Reading $reading): array
    {
        if ($reading->kind === Telling::GROUPS && ! $reading->findings->blocks()) {
            return [
                'The group of the container engine is not among these; it is called after the engine’s command.',
            ];
        }

        return in_array($reading->kind, self::KINDS, true) || $reading->findings->blocks()
            ? array_map(
                fn (Finding $one): string => trim("{$one->found} {$one->do}"),
                $reading->findings->list,
            )
            : ["Nothing in it listens; it reads like {$reading->kind}."];
    }
}
