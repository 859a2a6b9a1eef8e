<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Household\Kept;
use App\Models\Box;
use App\Models\Network;
use App\Models\Opening;
use App\Models\WayIn;
use App\Reach\BenchPhone;
use App\Reach\HouseTunnel;
use App\Reach\OpeningForm;
use App\Reach\ReachPage;
use Burrow\Household\Household;
use Burrow\Household\WanKind;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Reach\Schools;
use Burrow\Reach\TypedKey;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Every way in from outside, with the reason and the day to look at it again, and who comes in by it. */
final class ReachController
{
    public function __invoke(Request $request, Kept $kept, BenchPhone $phone): View
    {
        $network = Network::home();
        $keeps = $request->user()?->isKeeper() === true;
        $kind =
            WanKind::ofAddress(Ipv4::tryParse((string) $network->wan)) ??
            WanKind::tryFrom((string) $network->wan_kind);

        $edit = $keeps ? Opening::query()->with('box')->find($request->integer('edit')) : null;
        $adds = $keeps && $request->boolean('add');

        return view('reach.index', [
            'network' => $network,
            'keeps' => $keeps,
            'page' => ReachPage::kept($kept, $network, $keeps),
            'openings' => Opening::query()->with('box')->orderBy('outside_port')->get(),
            'edit' => $edit,
            'judged' => old('outside_port') === null
                    ? Findings::of()
                    : OpeningForm::judged(app(Household::class), OpeningForm::shown(null)),
            'adds' => $adds,
            'ways' => WayIn::query()
                ->with('service.box')
                ->where('network_id', $network->id)
                ->whereNull('taken_back_at')
                ->orderBy('id')
                ->get(),
            'keyJudged' => old('key_kind') === null
                    ? Findings::of()
                    : TypedKey::of(app(Household::class), $this->typedKey())->findings,
            'kind' => $kind,
            'kinds' => ['' => 'not known'] +
                collect(WanKind::cases())
                    ->mapWithKeys(fn (WanKind $one): array => [$one->value => $one->label()])
                    ->all(),
            'benchPhone' => $phone->isThere() && Box::query()->where('on_bench', true)->exists(),
            'schools' => Schools::compare($kind, false),
            'tunnel' => HouseTunnel::of($network),
            'boxes' => $edit === null && ! $adds
                    ? []
                    : Box::query()->here()->whereNotNull('name')->orderBy('id')->pluck('name', 'id')->all(),
        ]);
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
