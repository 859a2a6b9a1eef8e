<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use App\Models\Backup;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Stores\BackupForm;
use Burrow\Household\Copying;
use Burrow\Household\Household;
use Burrow\Stores\Backup\BackupConcern;
use Burrow\Stores\Backup\BackupScript;
use Burrow\Stores\Backup\BackupUnits;
use Burrow\Stores\Backup\Counted;
use Burrow\Stores\Backup\RestoreScript;
use Burrow\Stores\Backup\Said;
use Burrow\Stores\Backup\TypedBackup;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What of which box is copied where, how that went, and when a copy was brought back. */
final class BackupsController
{
    public function index(Request $request, Household $house): View
    {
        $backups = Backup::query()
            ->with(['box', 'target', 'drills'])
            ->orderBy('id')
            ->get();
        $edit = $backups->firstWhere('id', $request->integer('edit'));
        $by = [];
        foreach ($house->copyings() as $one) {
            $by[$one->box][] = $one;
        }

        return view('stores.backups', [
            'backups' => $backups,
            'findings' => (new BackupConcern())->findings($house),
            'of' => collect($house->copyings())->keyBy(fn (Copying $one): int => $one->id),
            'house' => $house,
            'counted' => array_map(Counted::of(...), $by),
            'boxes' => collect($house->boxes())
                ->mapWithKeys(fn ($box): array => [$box->id => $box->name])
                ->all(),
            'wants' => collect($house->standing())
                ->filter(fn ($box): bool => $box->jobs !== [])
                ->mapWithKeys(
                    fn ($box): array => [
                        $box->name => array_merge(
                            ...array_map(fn ($job): array => $job->backUp, $box->jobs()),
                        ),
                    ],
                )
                ->all(),
            'form' => $edit !== null || $request->boolean('add') || old('backup_name') !== null
                    ? BackupForm::shown($house, $edit, $request->string('box')->value())
                    : null,
        ]);
    }

    public function store(Request $request, Household $house): RedirectResponse
    {
        return $this->save($request, $house, null);
    }

    public function update(Request $request, Household $house, Backup $backup): RedirectResponse
    {
        if ($request->integer('revision') !== (int) $backup->revision) {
            return $this->changedMeanwhile($backup);
        }

        return $this->save($request, $house, $backup);
    }

    public function away(Backup $backup): RedirectResponse
    {
        JournalEntry::write($backup->box, 'backup', "The backup {$backup->name} is out of the record.");
        $backup->delete();

        return redirect()
            ->route('backups')
            ->with(
                'told',
                'It is out of the record. The box goes on copying until its timer is stopped there.',
            );
    }

    /** What the scripts said: copies that were made, that were brought back, or why not. */
    public function said(Request $request): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();
        $noted = 0;
        foreach (Said::all($pasted) as $said) {
            $backup = Backup::query()->with('box')->where('name', $said->name)->first();
            $noted += $backup === null ? 0 : (int) self::note($backup, $said);
        }
        $back = redirect()->to(route('backups').'#said');

        return $noted === 0
            ? $back
                ->withInput(['pasted' => mb_substr($pasted, 0, 20_000)])
                ->with('told', 'Nothing new of a backup of the record stands in this text.')
            : $back->with('told', $noted === 1 ? 'One thing was noted.' : "{$noted} things were noted.");
    }

    /** A copy was brought back by hand, and somebody looked at it. */
    public function drill(Request $request, Backup $backup): RedirectResponse
    {
        $what = trim($request->string('what')->value());
        $minutes = trim($request->string('minutes')->value());
        $back = redirect()->to(route('backups').'#drill-'.$backup->id);
        if ($what === '' || mb_strlen($what) > 160 || preg_match('/^\d{1,5}$/D', $minutes) !== 1) {
            return $back
                ->withInput($request->only(['what', 'minutes', 'drilled']))
                ->with('told', 'What was brought back, and how many minutes did it take?');
        }
        $worked = $request->boolean('worked');
        $backup->drills()->create([
            'tried_at' => now(),
            'what' => $what,
            'minutes' => (int) $minutes,
            'worked' => $worked,
        ]);
        JournalEntry::write(
            $backup->box,
            'backup',
            "The backup {$backup->name} was brought back ({$what}, {$minutes} min): ".
                ($worked ? 'it was whole.' : 'it was not whole.'),
        );

        return $back->with('told', 'It is written down.');
    }

    public function file(Backup $backup, string $file): Response
    {
        $plan = $backup->load(['box', 'target'])->plan();
        abort_if($plan === null, 404);
        [$name, $text] = match ($file) {
            'script' => ["backup-{$plan->name}", BackupScript::of($plan)],
            'restore' => ["restore-{$plan->name}", RestoreScript::of($plan)],
            'service' => ["backup-{$plan->name}.service", BackupUnits::service($plan)],
            'timer' => ["backup-{$plan->name}.timer", BackupUnits::timer($plan)],
            default => abort(404),
        };

        return response($text, 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    /** True where it was not known yet. */
    private static function note(Backup $backup, Said $said): bool
    {
        if ($said->what === 'stopped') {
            $backup->update(['failed_at' => now(), 'failed_because' => rtrim($said->because, '.')]);

            return true;
        }
        if ($said->stamp === null || $said->stamp > now()->addDay()) {
            return false;
        }
        if ($said->what === 'restored') {
            $backup->drills()->create([
                'tried_at' => now(),
                'what' => "{$said->files} files of {$said->stamp->format('Y-m-d')}, compared",
                'minutes' => (int) ceil($said->seconds / 60),
                'worked' => $said->files > 0,
            ]);

            return true;
        }
        if ($backup->ran_at !== null && $backup->ran_at >= $said->stamp) {
            return false;
        }
        $backup->update([
            'ran_at' => $said->stamp,
            'failed_at' => null,
            'failed_because' => null,
            'full_bytes' => $said->total,
            // The first one sends all; the ones after it what is new.
            'changed_bytes' => $backup->ran_at === null ? $backup->changed_bytes : $said->sent,
            'seconds' => $said->seconds,
        ]);

        return true;
    }

    private function changedMeanwhile(Backup $backup): RedirectResponse
    {
        return redirect()
            ->route('backups', ['edit' => $backup->id])
            ->with(
                'told',
                'This backup was changed in another window meanwhile; nothing was written over.',
            );
    }

    private function save(Request $request, Household $house, ?Backup $backup): RedirectResponse
    {
        $typed = BackupForm::typed($request);
        $judged = TypedBackup::of($house, $typed);
        $back = redirect()
            ->to(route('backups', $backup === null ? ['add' => 1] : ['edit' => $backup->id]).'#backup-form')
            ->withInput($typed + ['elsewhere' => $request->boolean('elsewhere') ? '1' : '']);
        if ($judged->findings->blocks() || $judged->box === null) {
            return $back;
        }
        $values = [
            'box_id' => $judged->box->id,
            'name' => $typed['backup_name'],
            'paths' => $judged->paths,
            'database' => $typed['database'] ?: 'none',
            'database_file' => $typed['database_file'] ?: null,
            'school' => $typed['school'] ?: 'folders',
            'target_box_id' => $judged->target?->id,
            'target_host' => $judged->target === null ? $typed['target_host'] : null,
            'target_account' => $typed['target_account'],
            'target_port' => (int) ($typed['target_port'] ?: 22),
            'target_folder' => $typed['target_folder'],
            'elsewhere' => $judged->target === null && $request->boolean('elsewhere'),
            'key_kept_at' => mb_substr($typed['key_kept_at'], 0, 120) ?: null,
            'runs_at' => $typed['runs_at'],
            'keep_daily' => $judged->keep->daily,
            'keep_weekly' => $judged->keep->weekly,
            'keep_monthly' => $judged->keep->monthly,
            'keep_yearly' => $judged->keep->yearly,
        ];
        $isSaved = true;
        try {
            $backup === null
                ? ($backup = Backup::query()->create($values))
                : ($isSaved = $backup->changeFrom($request->integer('revision'), $values));
        } catch (UniqueConstraintViolationException) {
            return $back->with(
                'told',
                "There is a backup called {$typed['backup_name']} already; its files on the box are called after it.",
            );
        }
        if ($backup !== null && ! $isSaved) {
            return $this->changedMeanwhile($backup);
        }
        JournalEntry::write(
            Box::query()->findOrFail($judged->box->id),
            'backup',
            "The backup {$backup->name} is in the record.",
        );

        return redirect()->to(route('backups')."#backup-{$backup->id}");
    }
}
