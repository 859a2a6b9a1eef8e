<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\Books;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Networks;
use App\Ports\PagePorts;
use Burrow\Household\Stage;
use Burrow\Judgement\Findings;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

/** Name and address of a box: checked while typing, and again when saved. */
final class NameController
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function edit(Request $request, Box $box): string
    {
        $proposed = Books::addresses($box->network, $box)->propose();
        $name = $request->string('name', old('name', $box->name ?? ''))->value();
        $address = $request
            ->string('address', old('address', $box->address ?? (string) $proposed))
            ->trim()
            ->value();
        $typed = $request->hasAny(['name', 'address', 'ports']) || $request->session()->hasOldInput();

        $ports = $this->ports($request, $box);
        $network = Networks::of($box, $address);

        return view('boxes.name', [
            'elsewhere' => Networks::all()
                ->where('id', '!=', $box->network_id)
                ->mapWithKeys(
                    fn (Network $one): array => [
                        $one->name => (string) Books::addresses($one, $box)->propose(),
                    ],
                )
                ->filter()
                ->all(),
            'box' => $box,
            'ports' => $ports,
            'portFindings' => $this->portFindings($box, $ports),
            'network' => $network,
            'name' => $name,
            'address' => $address,
            'working' => $proposed === null ? null : Books::addresses($box->network, $box)->proposalWorking($proposed),
            'nameFindings' => ($typed && $name !== '') || $request->session()->hasOldInput()
                    ? Books::nameFindings($network, $name, $box)
                    : Findings::of(),
            'addressFindings' => $typed ? Books::addresses($network, $box)->check($address) : Findings::of(),
        ])->fragmentIf($request->hasHeader('HX-Request') && $request->hasHeader('HX-Trigger-Name'), 'checks');
    }

    public function update(Request $request, Box $box): RedirectResponse
    {
        $name = $request->string('name')->value();
        $address = $request->string('address')->value();
        $network = Networks::of($box, $address);
        $findings = Books::nameFindings($network, $name, $box)->and(
            Books::addresses($network, $box)->check($address),
        );
        $ports = $this->ports($request, $box);
        if ($findings->and($this->portFindings($box, $ports))->blocks()) {
            return redirect()
                ->route('box.name', $box)
                ->withInput(['name' => $name, 'address' => $address, 'ports' => $ports]);
        }
        try {
            $box->update([
                'name' => strtolower($name),
                'address' => $address,
                'stage' => $box->stage === Stage::Planned ? Stage::Named : $box->stage,
            ]);
        } catch (UniqueConstraintViolationException) {
            // Somebody else took it between the check and the saving; the check above now says so.
            return redirect()
                ->route('box.name', $box)
                ->withInput(['name' => $name, 'address' => $address, 'ports' => $ports]);
        }
        foreach ($ports as $id => $port) {
            $box->jobs()
                ->whereKey($id)
                ->update(['page_port' => (int) $port]);
        }
        JournalEntry::write($box, 'address', "{$box->called()} is to have {$address}.");

        return redirect()->route('box.card', $box);
    }

    /** @return array<int, string> by the box's job: what stands in the field for the port of its page */
    private function ports(Request $request, Box $box): array
    {
        $typed = $request->input('ports', old('ports'));
        $typed = is_array($typed) ? $typed : [];
        $ports = [];
        foreach ($this->asked($box) as $held) {
            $port = $typed[$held->id] ?? $held->page_port;
            $ports[$held->id] = is_scalar($port) ? mb_substr(trim((string) $port), 0, 12) : '';
        }

        return $ports;
    }

    /** @param  array<int, string>  $ports */
    private function portFindings(Box $box, array $ports): Findings
    {
        $findings = Findings::of();
        $given = [];
        foreach ($this->asked($box) as $held) {
            $scheme = PagePorts::scheme($held)->with($given);
            $findings = $findings->and($scheme->check($ports[$held->id], "ports_{$held->id}"));
            $given += [(int) $ports[$held->id] => $held->called()];
        }

        return $findings;
    }

    /** @return Collection<int, BoxJob> those whose page listens where the household wants it */
    private function asked(Box $box): Collection
    {
        return $box->jobs->filter(
            fn (BoxJob $held): bool => $this->catalogue->job($held->job)?->askedPort() !== null,
        );
    }
}
