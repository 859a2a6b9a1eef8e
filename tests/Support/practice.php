<?php

declare(strict_types=1);

use App\Bench\BenchClient;
use App\Demo\DemoBench;
use App\Diagnosis\Examination;
use App\Diagnosis\Questions;
use App\Diagnosis\Rehearsing;
use App\Models\Box;
use App\Models\Diagnosis;
use Bench\Faults\Both;
use Bench\Faults\Fault;
use Bench\Faults\Faults;
use Burrow\Diagnosis\Likely;
use Burrow\Diagnosis\Seen;

/**
 * A person who searches at the bench: the tool's own questions go out over real sockets, everything else is looked at
 * on the board and answered by what it looks like. Knows no odds.
 */
final class Practice
{
    /** Person's checks before each cause that was told. @var list<int> */
    public array $checks = [];

    /** @var list<Likely> what was told and put right */
    public array $told = [];

    /** @var list<Likely> */
    public array $causes = [];

    public float $minutes = 0.0;

    /** @var list<string> */
    public array $trail = [];

    /** @var array<string, array<string, string>> check => words of the bench => answer */
    private array $eyes;

    private int $made = 0;

    private Diagnosis $kept;

    private function __construct(private readonly Box $box, private ?Fault $fault, private readonly int $most)
    {
        $this->eyes = require __DIR__.'/eyes.php';
        $this->kept = new Diagnosis(['box_id' => $box->id, 'seen' => [], 'skipped' => [], 'cleared' => []]);
    }

    public static function of(Fault $fault, int $most): self
    {
        $practice = new self(self::boxFor($fault), $fault, $most);
        $practice->search();

        return $practice;
    }

    /** The cause that a fault is, in the words of the diagnosis. */
    public static function cause(Fault $fault): string
    {
        return Rehearsing::cause($fault->name());
    }

    /** A box of the demo that can have it. */
    public static function boxFor(Fault $fault): Box
    {
        $radio = array_filter(
            ['wrong-country', 'wrong-passphrase'],
            fn (string $one) => str_contains($fault->name(), $one),
        );
        $name = match (true) {
            preg_match('/share|disk-/', $fault->name()) === 1 => 'larder',
            preg_match('/no-forward/', $fault->name()) === 1 => 'culvert',
            preg_match('/other-dns|internet-out/', $fault->name()) === 1 => 'sieve',
            default => 'dewpoint',
        };
        $box = Box::query()->where('name', $name)->firstOrFail();
        $box->update(['link' => $radio === [] ? 'wired' : 'wireless', 'silent_since' => null]);

        return $box->load(['jobs', 'network', 'services', 'run']);
    }

    private function search(): void
    {
        $this->set($this->fault);
        $this->see('complaint');
        $this->ask();
        while (true) {
            $talk = app(Examination::class)->of($this->box, $this->kept);
            $told = $talk->told();
            $next = $talk->next(1)[0] ?? null;
            if ($told === null && $next !== null && $this->made < $this->most) {
                $this->made++;
                $this->minutes += $next->check->minutes;
                $this->see($next->check->id);

                continue;
            }
            $top = $told ?? $talk->causes()[0];
            $this->trail[] = "told {$top->id()} ".round($top->probability, 2);
            $this->checks[] = $this->made;
            $left = $this->fault instanceof Both ? $this->without($top->id()) : null;
            if ($left === null) {
                $this->causes = [...$this->told, ...$talk->causes()];
                usort($this->causes, fn (Likely $one, Likely $other) => $other->probability <=> $one->probability);

                return;
            }
            // Put right; the box is not well yet, and says so itself.
            $this->told[] = $top;
            $after = $talk->mended($top->id());
            $checks = array_map(fn (Seen $seen) => $seen->check, $after->seen);
            $this->kept->keepOnly($checks);
            $this->kept->cleared = [...$this->kept->cleared, $top->id()];
            $this->set($this->fault = $left);
            $this->see('complaint');
            $this->ask();
        }
    }

    private function without(string $cause): ?Fault
    {
        foreach (Faults::all() as $fault) {
            $left = Rehearsing::cause($fault->name()) === $cause ? $this->fault->without($fault->name()) : null;
            if ($left !== null) {
                return $left;
            }
        }

        return null;
    }

    /** The lab as on the first day, with this one thing wrong, and started anew. */
    private function set(Fault $fault): void
    {
        $bench = app(BenchClient::class);
        $bench->ask(['do' => 'load', 'state' => ['speed' => 1000] + DemoBench::state()]);
        $board = "box-{$this->box->id}";
        $bench->ask(['do' => 'fault', 'board' => $board, 'fault' => $fault->name()]);
        $bench->ask(['do' => 'power', 'board' => $board, 'on' => true]);
        $until = microtime(true) + 4;
        do {
            usleep(40000);
            $status = collect($bench->ask(['do' => 'status'])['boards'])->firstWhere('id', $board);
        } while (
            microtime(true) < $until &&
            $fault->starts() &&
            $fault->findsSystem() &&
            $status['phase'] !== 'up'
        );
        usleep(60000);
    }

    private function ask(): void
    {
        $questions = app(Questions::class)->ask($this->box, app(Examination::class)->of($this->box, $this->kept));
        foreach ($questions as $seen) {
            $this->kept->note($seen);
            $this->trail[] = "({$seen->check}: {$seen->answer})";
        }
    }

    private function see(string $check): void
    {
        $words = app(BenchClient::class)->text('look', 'sees', ['board' => "box-{$this->box->id}", 'at' => $check]);
        $answer = $this->eyes[$check][$words] ?? null;
        if ($answer === null) {
            $this->kept->skipped = [...$this->kept->skipped, $check];
            $this->trail[] = "{$check}: ?{$words}";

            return;
        }
        $this->kept->note(new Seen($check, $answer));
        $this->trail[] = "{$check}: {$answer}";
    }
}
