<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\Box;
use App\Models\Network;
use App\Models\Opening;
use App\Models\WayIn;
use App\Reach\BenchPhone;
use App\Reach\HouseTunnel;
use App\Reach\OpeningForm;
use Burrow\Household\Household;
use Burrow\Household\WanKind;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Ports\Certificates;
use Burrow\Reach\Draw\ReachPicture;
use Burrow\Reach\KeysEnd;
use Burrow\Reach\NameLeadsHere;
use Burrow\Reach\Openings;
use Burrow\Reach\OutsideAnswers;
use Burrow\Reach\OutsideTest;
use Burrow\Reach\Schools;
use Burrow\Reach\TravellersAway;
use Burrow\Reach\TypedKey;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Every way in from outside, with the reason and the day to look at it again, and who comes in by it. */
final class ReachController
{
    /** Pages that a key is written down for from a list; more would be no list. */
    private const PAGES = 500;

    public function __invoke(Request $request, Household $house, BenchPhone $phone): View
    {
        $network = Network::home();
        $keeps = $request->user()?->isKeeper() === true;
        $kind =
            WanKind::ofAddress(Ipv4::tryParse((string) $network->wan)) ??
            WanKind::tryFrom((string) $network->wan_kind);

        return view('reach.index', [
            'network' => $network,
            'keeps' => $keeps,
            'picture' => ReachPicture::of($house),
            'openings' => Opening::query()->with('box')->orderBy('outside_port')->get(),
            'edit' => $keeps ? Opening::query()->with('box')->find($request->integer('edit')) : null,
            'judged' => old('outside_port') === null
                    ? Findings::of()
                    : OpeningForm::judged($house, OpeningForm::shown(null)),
            'adds' => $keeps && $request->boolean('add'),
            'ways' => WayIn::query()
                ->with('service.box')
                ->where('network_id', $network->id)
                ->whereNull('taken_back_at')
                ->orderBy('id')
                ->get(),
            'findings' => $keeps
                ? (new OutsideAnswers())
                    ->findings($house)
                    ->and((new Openings())->findings($house)->list)
                    ->and((new TravellersAway())->findings($house)->list)
                    ->and((new NameLeadsHere())->findings($house)->list)
                    ->and((new KeysEnd())->findings($house)->list)
                    ->and((new Certificates())->findings($house)->list)
                : Findings::of(),
            'certificates' => $keeps ? $house->certificates() : [],
            'pages' => $keeps ? $this->pages($house) : [],
            'keyJudged' => old('key_kind') === null ? Findings::of() : TypedKey::of($house, $this->typedKey())->findings,
            'kind' => $kind,
            'kinds' => ['' => 'not known'] +
                collect(WanKind::cases())
                    ->mapWithKeys(fn (WanKind $one): array => [$one->value => $one->label()])
                    ->all(),
            'benchPhone' => $phone->isThere() && Box::query()->where('on_bench', true)->exists(),
            'schools' => Schools::compare($kind, false),
            'tunnel' => HouseTunnel::of($network),
            'tests' => OutsideTest::plan(
                $house,
                (string) ($network->outside_name ?: $network->wan ?: 'your-house'),
            ),
            'boxes' => collect($house->boxes())
                ->mapWithKeys(fn ($box): array => [$box->id => $box->name])
                ->all(),
        ]);
    }

    /** @return array<int, string> what a key can open, by the id of its record */
    private function pages(Household $house): array
    {
        $pages = [];
        foreach (array_slice($house->services(), 0, self::PAGES) as $service) {
            $pages[$service->id] = "{$service->box}: {$service->purpose} ({$service->place()})";
        }
        asort($pages);

        return $pages;
    }

    /** @return array<string, string> */
    private function typedKey(): array
    {
        $typed = [];
        foreach (KeyController::FIELDS as $field) {
            $typed[$field] = is_string(old($field)) ? old($field) : '';
        }

        return $typed;
    }
}
