<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use App\Household\Kept;
use App\Models\Box;
use App\Models\FillSample;
use App\Models\HealthSample;
use App\Models\JournalEntry;
use App\Models\Store;
use App\Stores\StoresPage;
use Burrow\Household\Stage;
use Burrow\Intake\Intake;
use Burrow\Intake\Reading;
use Burrow\Intake\Storage\FillFact;
use Burrow\Intake\Storage\HealthFact;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The disks that files are kept on: how full, until when, and how they are. */
final class StoresController
{
    /** Of the memory, and not of a disk. */
    private const PASSING = '~^(?:/dev|/run|/sys|/proc)(?:/|$)~';

    public function __invoke(Request $request, Kept $kept): View
    {
        return view('stores.index', [
            'stores' => Store::query()
                ->whereRelation('box', 'stage', '!=', Stage::Retired->value)
                ->with('box')
                ->orderBy('id')
                ->get(),
            'page' => StoresPage::kept($kept),
            'boxes' => Box::query()->here()->whereNotNull('name')->orderBy('id')->pluck('name', 'id')->all(),
            'keeps' => $request->user()?->isKeeper() === true,
        ]);
    }

    /** What a box told of its file systems and drives. */
    public function note(Request $request): RedirectResponse
    {
        $box = Box::query()->find($request->integer('box'));
        $pasted = $request->string('pasted')->value();
        $reading = Intake::standard()->read('auto', $pasted);
        $noted = $box === null ? 0 : self::keep($box, [$reading, ...$reading->also]);
        if ($noted === 0 || $box === null) {
            return redirect()
                ->to(route('stores').'#note')
                ->withInput(['pasted' => mb_substr($pasted, 0, 20_000), 'box' => $request->integer('box')])
                ->with(
                    'told',
                    $box === null
                        ? 'Which box is it?'
                        : 'No disk with its figures stands in this text; nothing was noted.',
                );
        }
        JournalEntry::write($box, 'disk', "{$box->called()} told how full and how healthy its disks are.");

        return redirect()
            ->route('stores')
            ->with('told', $noted === 1 ? 'One disk was noted.' : "{$noted} were noted.");
    }

    /**
     * Notes each disk of what was read.
     *
     * @param  list<Reading>  $readings
     * @return int how many
     */
    private static function keep(Box $box, array $readings): int
    {
        $noted = 0;
        foreach ($readings as $one) {
            foreach ($one->all(FillFact::class) as $fact) {
                if (
                    $fact->bytes > 0 &&
                    $fact->usedBytes !== null &&
                    preg_match(self::PASSING, $fact->mount) !== 1
                ) {
                    $held =
                        $fact->availableBytes === null
                            ? $fact->bytes
                            : $fact->usedBytes + $fact->availableBytes;
                    FillSample::query()->create([
                        'box_id' => $box->id,
                        'mount' => mb_substr($fact->mount, 0, 190),
                        'source' => $fact->source === null ? null : mb_substr($fact->source, 0, 190),
                        // What is reserved for the administrator nobody else can fill.
                        'bytes' => max(1, $held),
                        'used_bytes' => $fact->usedBytes,
                        'taken_at' => now(),
                    ]);
                    $noted++;
                }
            }
            foreach ($one->all(HealthFact::class) as $fact) {
                HealthSample::query()->create([
                    'box_id' => $box->id,
                    'serial' => mb_substr($fact->serial ?? 'not told', 0, 80),
                    'model' => $fact->model === null ? null : mb_substr($fact->model, 0, 120),
                    'bytes' => $fact->bytes,
                    'passed' => $fact->passed,
                    'hours' => self::within($fact->hours, 4_294_967_295),
                    'celsius' => self::within($fact->celsius, 32_767),
                    'reallocated' => self::within($fact->reallocated, 4_294_967_295),
                    'pending' => self::within($fact->pending, 4_294_967_295),
                    'wear_percent' => self::within($fact->wearPercent, 255),
                    'taken_at' => now(),
                ]);
                $noted++;
            }
        }

        return $noted;
    }

    private static function within(?int $value, int $most): ?int
    {
        return $value === null || $value < 0 ? null : min($value, $most);
    }
}
