<?php

declare(strict_types=1);

namespace App\Http\Controllers\Card;

use App\Bench\BenchClient;
use App\Card\CardRequest;
use App\Card\CardZip;
use App\Card\HouseKnowledge;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Card\AllClear;
use Burrow\Card\CardContext;
use Burrow\Card\Linter;
use Burrow\Card\Write\CardSet;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\Series;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Household\Stage;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\Ipv4;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The first-boot files of a box. What is typed here is turned into files in one request and forgotten. */
final class CardController
{
    public function __construct(private readonly Catalogue $catalogue, private readonly BenchClient $bench)
    {
    }

    public function edit(Box $box): View|RedirectResponse
    {
        if ($box->name === null) {
            return redirect()->route('box.name', $box);
        }
        $house = Network::home();
        $image = $this->image($box);
        $typed = [
            'user' => $box->user ?? 'warden',
            'time_zone' => $house->time_zone,
            'country' => $house->country ?? '',
            'ssid_1' => $box->link === 'wireless' ? $box->network->ssids()[0] ?? '' : '',
        ];

        return $this->sheet(
            $box,
            $image,
            array_replace(CardRequest::blank($image), $typed),
            [CardSet::recommended($image, true)[0]->value],
            Findings::of(),
        );
    }

    public function make(Request $request, Box $box): View|RedirectResponse
    {
        $jobs = array_values(
            array_filter($box->jobs->map(fn (BoxJob $job): ?Job => $this->catalogue->job($job->job))->all()),
        );
        if ($box->name === null || $jobs === []) {
            return redirect()->route('box.name', $box);
        }
        $network = $box->network;
        $image = $this->image($box);
        $known = HouseKnowledge::of($box, $network, $this->catalogue);
        $card = CardRequest::from($request, $image, $known);
        if ($card->findings->blocks()) {
            return $this->again($box, $image, $card, $card->findings);
        }
        if ((int) $card->typed['series_count'] > 1) {
            return $this->series($box, $image, $card, $known, $network);
        }
        $settings = $card->settings($box, $network, self::packages($jobs));
        $order = $card->order($image);
        $set = CardSet::of($settings, $order);
        if ($set->findings->blocks()) {
            return $this->again($box, $image, $card, $card->findings->and($set->findings));
        }
        $findings = $card->findings
            ->and($set->findings)
            ->and((new Linter())->lint($set->folder(), $known))
            ->gravestFirst();
        $this->written($box, $settings, $findings);

        return view('card.files', [
            'box' => $box,
            'set' => $set,
            'fingerprint' => $settings->key?->fingerprint(),
            'findings' => $findings,
            'looked' => AllClear::words($set->folder(), $known),
            'zip' => base64_encode(CardZip::of($set->folder())),
            'benchIsThere' => $this->bench->isThere(),
        ]);
    }

    /** Further boxes of the same kind, each with a name, an address and a card of its own. */
    private function series(
        Box $box,
        ImageKind $image,
        CardRequest $card,
        CardContext $known,
        Network $network,
    ): View {
        $first = Ipv4::tryParse($card->typed['series_first']);
        if ($first === null) {
            return $this->again(
                $box,
                $image,
                $card,
                Findings::of(
                    AddressFindings::notAnAddress(
                        $card->typed['series_first'],
                        'It is the first address of the series.',
                        Place::field('series_first'),
                    ),
                ),
            );
        }
        $series = Series::of(
            $card->typed['series_base'] === '' ? (string) $box->name : $card->typed['series_base'],
            min(Series::MOST, (int) $card->typed['series_count']),
            $first,
            $network->asLocalNetwork(),
            $known->names,
            $known->taken,
        );
        if ($series->findings->blocks()) {
            return $this->again($box, $image, $card, $series->findings);
        }
        $made = DB::transaction(
            fn (): array => array_map(function (array $member) use ($box, $card, $image, $network): array {
                $copy = $box->replicate([
                    'instance',
                    'card_written_at',
                    'mac',
                    'pinned_at',
                    'host_key',
                    'host_key_at',
                    'on_bench',
                    'answered_at',
                    'silent_since',
                    'in_service_at',
                    'updated_system_at',
                ]);
                $copy
                    ->fill([
                        'name' => $member['name']->label,
                        'address' => (string) $member['address'],
                        'stage' => Stage::Named,
                        'version' => 1,
                    ])
                    ->save();
                $copy
                    ->jobs()
                    ->createMany(
                        $box->jobs->map(fn (BoxJob $job): array => $job->only(['job', 'school']))->all(),
                    );
                $jobs = array_values(
                    array_filter(
                        $box->jobs->map(fn (BoxJob $job): ?Job => $this->catalogue->job($job->job))->all(),
                    ),
                );
                $settings = $card->settings($copy, $network, self::packages($jobs));
                $set = CardSet::of($settings, $card->order($image));
                $findings = (new Linter())->lint(
                    $set->folder(),
                    new CardContext($image, $network->asLocalNetwork()),
                );
                $this->written($copy, $settings, $findings);

                return [
                    'box' => $copy,
                    'set' => $set,
                    'findings' => $findings,
                    'zip' => base64_encode(CardZip::of($set->folder())),
                ];
            }, $series->members),
        );

        return view('card.series', [
            'box' => $box,
            'made' => $made,
            'zip' => base64_encode(
                CardZip::ofFolders(
                    array_combine(
                        array_map(fn (array $one): string => (string) $one['box']->name, $made),
                        array_map(fn (array $one) => $one['set']->folder(), $made),
                    ),
                ),
            ),
        ]);
    }

    /** @param  Findings  $findings  what speaks against its files */
    private function written(Box $box, FirstBoot $settings, Findings $findings): void
    {
        $box->update([
            'user' => $settings->user,
            'login' => $settings->key === null ? 'password' : 'key',
            'login_fingerprint' => $settings->key?->fingerprint(),
            'instance' => $settings->instance,
            'fixed_address' => $settings->static !== null,
            'card_written_at' => now(),
            'card_codes' => array_slice(array_values(array_unique($findings->codes())), 0, 40) ?: null,
        ]);
        JournalEntry::write(
            $box,
            'card',
            "First-boot files made for {$box->name}; login by ".
                ($settings->key === null ? 'password' : 'key '.$settings->key->fingerprint()).
                '.',
        );
    }

    /**
     * @param  list<Job>  $jobs
     * @return list<string>
     */
    private static function packages(array $jobs): array
    {
        return array_values(
            array_unique(array_merge(...array_map(fn (Job $job): array => $job->packages, $jobs))),
        );
    }

    private function again(Box $box, ImageKind $image, CardRequest $card, Findings $findings): View
    {
        $typed = str_contains($card->typed['public_key'], 'PRIVATE KEY')
            ? ['public_key' => ''] + $card->typed
            : $card->typed;

        return $this->sheet($box, $image, $typed, array_column($card->schools, 'value'), $findings);
    }

    /**
     * @param  array<string, string>  $typed
     * @param  list<string>  $schools
     */
    private function sheet(Box $box, ImageKind $image, array $typed, array $schools, Findings $findings): View
    {
        return view('card.edit', [
            'box' => $box,
            'image' => $image,
            'typed' => $typed,
            'schools' => $schools,
            'findings' => $findings,
            'network' => $box->network,
        ]);
    }

    private function image(Box $box): ImageKind
    {
        $images = $this->catalogue->shelf()->images;

        return $images[$box->image ?? ''] ?? $images['server-64'];
    }
}
