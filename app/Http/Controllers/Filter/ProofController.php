<?php

declare(strict_types=1);

namespace App\Http\Controllers\Filter;

use App\Filter\AskedAgain;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\NameCheck;
use Burrow\Filter\FilterConcern;
use Burrow\Filter\FilterFindings;
use Burrow\Filter\Proof\ToldByClient;
use Burrow\Household\Household;
use Burrow\Household\NameExpected;
use Burrow\Intake\Intake;
use Burrow\Intake\Lookup\Answer;
use Burrow\Intake\Names\ListLine;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What filters should refuse and answer, asked from here over UDP and TCP, and as each client sees it. */
final class ProofController
{
    private const FIELDS = ['proof_box', 'proof_name', 'proof_expected'];

    /** Names of one filter that are asked; a proof is a sample. */
    private const NAMES = 12;

    /** Clients that one filter is told of. */
    private const CLIENTS = 20;

    public function index(Household $house): View
    {
        $typed = [];
        foreach (self::FIELDS as $field) {
            $typed[$field] = is_string(old($field)) ? old($field) : '';
        }
        $boxes = $this->filters();

        return view('filter.proof', [
            'boxes' => $boxes,
            'checks' => NameCheck::query()
                ->whereIn('box_id', $boxes->modelKeys())
                ->orderBy('id')
                ->get()
                ->groupBy('box_id'),
            'findings' => (new FilterConcern())->findings($house),
            'typed' => $typed,
            'judged' => old('proof_name') === null ? Findings::of() : $this->judged($typed),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $typed = [];
        foreach (self::FIELDS as $field) {
            $typed[$field] = trim($request->string($field)->value());
        }
        $judged = $this->judged($typed);
        $box = $this->filters()->find((int) $typed['proof_box']);
        if ($judged->blocks() || $box === null) {
            return redirect()
                ->to(route('filter.proof').'#add')
                ->withInput($typed)
                ->with('told', 'It is not asked yet.');
        }
        NameCheck::query()->updateOrCreate(
            ['box_id' => $box->id, 'name' => self::normal($typed['proof_name']), 'via' => ''],
            ['expected' => $typed['proof_expected'], 'held' => null, 'said' => '', 'asked_at' => null],
        );

        return redirect()->route('filter.proof')->with('told', 'It is asked from now on, every hour.');
    }

    public function ask(AskedAgain $again): RedirectResponse
    {
        $asked = $again->ask(
            NameCheck::query()
                ->where('via', '')
                ->whereIn('box_id', $this->filters()->modelKeys())
                ->with('box.network')
                ->orderBy('asked_at')
                ->limit(4 * self::NAMES)
                ->get(),
            AskedAgain::WAITED,
        );

        return redirect()
            ->route('filter.proof')
            ->with('told', $asked === 0 ? 'There is nothing to ask.' : 'Asked just now, over UDP and TCP.');
    }

    /** What a client's own look-ups said. */
    public function told(Request $request, Box $box): RedirectResponse
    {
        $client = trim($request->string('client')->value());
        $pasted = $request->string('pasted')->value();
        $back = redirect()->to(route('filter.proof')."#told-{$box->id}");
        if (preg_match('/^[\p{L}\p{N}][\p{L}\p{N} ._\'’-]{0,59}$/Du', $client) !== 1) {
            return $this->again($back, $request, 'Which client is it? Up to 60 letters.');
        }
        $known = NameCheck::query()->where('box_id', $box->id)->where('via', '')->get()->keyBy('name');
        $clients = NameCheck::query()
            ->where('box_id', $box->id)
            ->where('via', '!=', '')
            ->distinct()
            ->pluck('via');
        if ($clients->count() >= self::CLIENTS && ! $clients->contains($client)) {
            return $this->again(
                $back,
                $request,
                'More clients than '.self::CLIENTS.' are not kept beside each other.',
            );
        }
        $by = [];
        $reading = Intake::standard()->read('lookup', $pasted);
        foreach ($reading->all(Answer::class) as $answer) {
            $name = self::normal((string) $answer->name);
            $known->has($name) && ($by[$name][] = $answer);
        }
        $resolvers = array_values(
            array_filter($this->filters()->map(fn (Box $one): string => (string) $one->address)->all()),
        );
        $held = 0;
        foreach ($by as $name => $answers) {
            $expected =
                NameExpected::tryFrom((string) $known->get($name)?->expected) ?? NameExpected::Answered;
            $came = ToldByClient::of($expected, $answers, $resolvers);
            $own = NameCheck::query()->firstOrCreate(
                ['box_id' => $box->id, 'name' => $name, 'via' => $client],
                ['expected' => $expected->value],
            );
            AskedAgain::note($own->load('box'), $came->held, $came->said);
            $held += (int) $came->held;
        }
        if ($by === []) {
            return $this->again($back, $request, 'None of the names above stands in this text.');
        }
        JournalEntry::write(
            $box,
            'filter',
            "{$client} asked {$box->called()}: {$held} of ".count($by).' names as they should be.',
        );

        return $back->with('told', "{$held} of ".count($by).' are as they should be.');
    }

    public function away(NameCheck $check): RedirectResponse
    {
        NameCheck::query()->where('box_id', $check->box_id)->where('name', $check->name)->delete();

        return redirect()
            ->route('filter.proof')
            ->with('told', "{$check->name} is asked no more.");
    }

    private function again(RedirectResponse $back, Request $request, string $why): RedirectResponse
    {
        return $back
            ->withInput([
                'client' => mb_substr($request->string('client')->value(), 0, 80),
                'pasted' => mb_substr($request->string('pasted')->value(), 0, 20_000),
            ])
            ->with('told', $why);
    }

    /** @param  array<string, string>  $typed */
    private function judged(array $typed): Findings
    {
        $found = [];
        $name = self::normal($typed['proof_name']);
        $name === '' &&
            ($found[] = FilterFindings::notAName($typed['proof_name'], Place::field('proof_name')));
        NameExpected::tryFrom($typed['proof_expected']) === null &&
            ($found[] = FilterFindings::typed('What should come of it?', false)->at(
                Place::field('proof_expected'),
            ));
        $box = $this->filters()->find((int) $typed['proof_box']);
        if ($box === null) {
            $found[] = FilterFindings::typed('Which box is asked?', false)->at(Place::field('proof_box'));
        } elseif (
            NameCheck::query()
                ->where('box_id', $box->id)
                ->where('via', '')
                ->where('name', '!=', $name)
                ->count() >= self::NAMES
        ) {
            $found[] = FilterFindings::typed('Twelve names are enough of a sample.', false)->at(
                Place::field('proof_name'),
            );
        }

        return Findings::of(...$found);
    }

    private static function normal(string $typed): string
    {
        return ListLine::normal(strtolower(trim($typed, " .\t"))) ?? '';
    }

    /** @return Collection<int, Box> boxes that answer names for the house */
    private function filters(): Collection
    {
        return Box::query()->naming()->orderBy('id')->get();
    }
}
