<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Bench\BenchHouse;
use App\Catalogue\Catalogue;
use App\Models\Box;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Household\Stage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The simulated lab: cards go into boards, power goes on, and the router keeps its list. */
final class BenchController
{
    public function __construct(
        private readonly BenchClient $bench,
        private readonly BenchHouse $house,
        private readonly Catalogue $catalogue,
    ) {
    }

    public function index(Request $request): string
    {
        try {
            $status = $this->bench->ask(['do' => 'status']);
        } catch (BenchAway $away) {
            $status = [
                'boards' => [],
                'leases' => [],
                'reservations' => [],
                'faults' => [],
                'speed' => 1,
                'away' => $away->getMessage(),
            ];
        }

        /** @var list<array<string, mixed>> $boards */
        $boards = $status['boards'];

        return view('bench.index', [
            'status' => $status,
            // Boards that somebody is working on come before those that have stood there all along.
            'boards' => collect($boards)
                ->sortBy(fn (array $board): int => $board['card'] === [] ? 1 : 0)
                ->values(),
            'boxes' => Box::query()
                ->here()
                ->whereNotNull('name')
                ->with('run')
                ->get()
                ->keyBy(fn (Box $box): string => 'box-'.$box->id),
        ])->fragmentIf($request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted'), 'lab');
    }

    public function card(Request $request): RedirectResponse
    {
        $box = Box::query()->findOrFail($request->integer('box'));
        if ($box->stage === Stage::InService && ! $box->on_bench) {
            return back(fallback: route('bench'))->with(
                'told',
                "{$box->name} is a real box in service. On the bench it would be asked on loopback from then on; nothing was changed.",
            );
        }
        $files = array_filter(
            $request->array('files'),
            fn (mixed $text, mixed $name): bool => is_string($text) &&
                strlen($text) < 100000 &&
                is_string($name) &&
                preg_match('/^[A-Za-z0-9._-]{1,60}$/D', $name) === 1,
            ARRAY_FILTER_USE_BOTH,
        );
        // A browser sends CRLF from a text field; on the card the lines end as they were written.
        $files = array_map(
            fn (string $text): string => str_replace("\r\n", "\n", mb_scrub($text, 'UTF-8')),
            $files,
        );
        $board = $this->catalogue->shelf()->boards[$box->board];
        $drive = $this->catalogue->shelf()->drives[$box->drive ?? ''] ?? null;
        try {
            $own = $this->house->tell($box->network);
            $this->bench->ask([
                'do' => 'insert',
                'board' => 'box-'.$box->id,
                'mac' => self::mac($box),
                'class' => $board->label,
                'network_after' => (int) $board->networkAfter->seconds,
                'files' => (object) $files,
                'disk' => $drive === null
                        ? null
                        : [
                            'bytes' => $drive->capacity->count,
                            'serial' => 'SEED'.str_pad((string) $box->id, 6, '0', STR_PAD_LEFT),
                        ],
                'services' => $this->brought($box),
            ]);
            if ($request->boolean('power')) {
                $this->bench->ask(['do' => 'power', 'board' => 'box-'.$box->id, 'on' => true]);
            }
        } catch (BenchAway $away) {
            return back()->with('told', $away->getMessage());
        }
        $box->update(['on_bench' => true, 'card_written_at' => now()]);
        $worst = (new Linter())->lint(new CardFolder($files));

        return redirect()
            ->route('bench')
            ->with(
                'told',
                $worst->isEmpty()
                    ? trim("The card for {$box->name} is in its board. {$own}")
                    : "The card is in, and something is wrong with it: {$worst->list[0]->found}",
            );
    }

    /** @return list<array{port: int, protocol: string}> what listens on a ready-made image as it comes */
    private function brought(Box $box): array
    {
        $brought = [];
        foreach ($this->catalogue->isReadyMade($box) ? $box->jobs : [] as $held) {
            $ports = $this->catalogue->job($held->job)?->listeningAt($held->page_port)->ports ?? [];
            foreach ($ports as $use) {
                $brought[] = ['port' => $use->port->number, 'protocol' => $use->protocol->value];
            }
        }

        return $brought;
    }

    public function power(Request $request): RedirectResponse
    {
        return $this->tell([
            'do' => 'power',
            'board' => $request->string('board')->value(),
            'on' => $request->boolean('on'),
        ]);
    }

    /** Something goes wrong with a board, from its next start on. */
    public function fault(Request $request): RedirectResponse
    {
        return $this->tell([
            'do' => 'fault',
            'board' => $request->string('board')->value(),
            'fault' => $request->string('fault')->value(),
        ]);
    }

    public function speed(Request $request): RedirectResponse
    {
        return $this->tell(['do' => 'speed', 'speed' => max(1, min(1000, $request->integer('speed')))]);
    }

    /** @param  array<string, mixed>  $request */
    private function tell(array $request): RedirectResponse
    {
        try {
            $this->bench->ask($request);
        } catch (BenchAway $away) {
            return back(fallback: route('bench'))->with('told', $away->getMessage());
        }

        return back(fallback: route('bench'));
    }

    /** Locally administered, and the same for a box every time, until it is made anew on another board. */
    private static function mac(Box $box): string
    {
        $board = $box->made_anew_at === null ? 0 : $box->identities()->where('kind', 'mac')->count() % 16;

        return '02:4b:1e:9'.
            dechex($board).
            ':'.
            implode(':', str_split(sprintf('%04x', $box->id % 65536), 2));
    }
}
