<?php

declare(strict_types=1);

use Burrow\BringUp\Change;
use Burrow\BringUp\Playbook\FilledStep;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Values;

// The commands of “another disk”, typed on two real ext4 file systems. What came over is told by a program of its own.

const OLD_UUID = '11111111-2222-4333-8444-555555555555';

const NEW_UUID = '66666666-7777-4888-9999-aaaaaaaaaaaa';

/** @return array<string, string> name => what was printed */
function swapOnRealDisks(): array
{
    $folder = '/tmp/burrow-swap-'.getmypid();
    mkdir($folder);
    $facts = new RunFacts(
        'wren',
        'warden',
        learned: ['mount_point' => "{$folder}/old", 'old_uuid' => OLD_UUID, 'uuid' => NEW_UUID],
    );
    foreach (playbooks()->change(Change::OtherDisk)->again as $step) {
        $filled = FilledStep::of($step, Values::of($facts, $step));
        $name = preg_replace('/^store-/', '', $step->id);
        file_put_contents("{$folder}/{$name}.sh", ($filled->command ?? 'false')."\n");
    }
    file_put_contents("{$folder}/old.uuid", OLD_UUID);
    file_put_contents("{$folder}/new.uuid", NEW_UUID);
    $said = run(
        'TREE='.
            escapeshellarg(realpath('tests/Outside/tree.py')).
            ' unshare --mount bash '.
            escapeshellarg(realpath('tests/Outside/swap-disk.sh')).
            " {$folder}",
    );
    exec('rm -rf '.escapeshellarg($folder));
    preg_match_all('/^## ([a-z-]+)\n(.*?)(?=^## |\z)/ms', $said['out'], $found);

    return array_combine($found[1], array_map(trim(...), $found[2]));
}

test(
    'another disk: everything comes over, what came since too, the old one is only read, and every doubt stops it',
    function (): void {
        $said = swapOnRealDisks();
        expect($said['next-first'])
            ->toContain('/mnt/next')
            ->toContain(NEW_UUID)
            ->and($said['next-twice'])
            ->toContain('already mounted')
            ->and($said['copy'])
            ->toContain('Deactivated successfully')
            ->and($said['compare'])
            ->toContain('Deactivated successfully');
        // A writer, a new disk that is a folder, an old disk that is a folder: nothing goes on, nothing is lost.
        expect($said['still-while-written'])
            ->toContain('is busy')
            ->toContain('STOPPED')
            ->not->toContain('alike');
        foreach (['still-without-new', 'still-without-old'] as $doubt) {
            expect($said[$doubt])->toContain('STOPPED')->not->toContain('alike');
        }
        expect((int) $said['new-after-that'])->toBeGreaterThan(40);
        expect($said['still'])
            ->toEndWith('both are alike')
            ->and($said['trees'])
            ->toBe('the same')
            ->and($said['old-after'])
            ->toBe($said['old-before'])
            ->and($said['old-can-be-written'])
            ->toContain('Read-only file system');
        $lines = explode("\n", $said['fstab']);
        expect(array_slice($lines, -2))
            ->sequence(
                fn ($line) => $line->toStartWith('#UUID='.OLD_UUID),
                fn ($line) => $line->toMatch('~^UUID='.NEW_UUID.' \S+/old ext4 defaults,nofail~'),
            )
            ->and($said['line'])
            ->toMatch('~/old\s+UUID='.NEW_UUID.'$~');
        // Typed twice: the old line is no longer there, and the file stays as it is.
        expect($said['line-twice'])->toContain('STOPPED');
    },
);
