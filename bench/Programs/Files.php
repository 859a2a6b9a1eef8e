<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Files put, shown, copied and removed. */
final class Files implements Program
{
    public function names(): array
    {
        return ['tee', 'cat', 'cp', 'mv', 'ln', 'rm', 'ls', 'touch', 'openssl', 'ssh-keygen'];
    }

    public function run(Call $call): Said
    {
        return match (basename($call->words[0])) {
            'tee' => $this->tee($call),
            'cat' => $this->cat($call),
            'ls' => $this->ls($call),
            'cp', 'mv', 'ln' => $this->copy($call),
            'openssl' => $this->certificate($call),
            'ssh-keygen' => $this->key($call),
            default => $this->put($call),
        };
    }

    private function tee(Call $call): Said
    {
        $machine = $call->board->machine;
        foreach (array_diff($call->plain(), ['/dev/null']) as $path) {
            if (! $machine->mayWrite($path, $call->root)) {
                return Said::failed("tee: {$path}: Permission denied", 1, $call->in);
            }
            $append = $call->has('--append', '-a');
            $machine->write($path, ($append ? $machine->read($path) : '').$call->in, $append);
        }

        return Said::ok($call->in);
    }

    private function cat(Call $call): Said
    {
        $out = $call->plain() === [] ? $call->in : '';
        foreach ($call->plain() as $path) {
            $text = $call->board->readLike($path)[$path] ?? null;
            if ($text === null) {
                return Said::failed("cat: {$path}: No such file or directory");
            }
            $out .= $text;
        }

        return Said::ok($out);
    }

    /** A path that looks like a file's must be one; folders are there. */
    private function ls(Call $call): Said
    {
        foreach ($call->plain() as $path) {
            if (str_contains(basename($path), '.') && $call->board->machine->read($path) === null) {
                return Said::failed("ls: cannot access '{$path}': No such file or directory", 2);
            }
        }

        return Said::ok(implode("\n", $call->plain())."\n");
    }

    private function copy(Call $call): Said
    {
        $name = basename($call->words[0]);
        [$from, $to] = [...$call->plain(), '', ''];
        $to = str_ends_with($to, '/') ? $to.basename($from) : $to;
        $text = $call->board->machine->read($from);
        if ($text === null) {
            return Said::failed("{$name}: cannot stat '{$from}': No such file or directory");
        }
        if (! $call->board->machine->mayWrite($to, $call->root)) {
            return Said::failed("{$name}: cannot create regular file '{$to}': Permission denied");
        }
        $call->board->machine->write($to, $text);

        return Said::ok();
    }

    private function certificate(Call $call): Said
    {
        foreach (array_filter([$call->option('-out'), $call->option('-keyout')]) as $path) {
            $call->board->machine->write($path, "made on the board\n");
        }

        return Said::noting('-----');
    }

    /** The secret half is only a mark that it is there; the public half looks like one. */
    private function key(Call $call): Said
    {
        $path = $call->option('-f');
        if ($path !== null) {
            $call->board->machine->write($path, "kept on the board\n");
            $blob = pack('N', 11).'ssh-ed25519'.pack('N', 32).hash('sha256', $call->board->mac, true);
            $call->board->machine->write("{$path}.pub", 'ssh-ed25519 '.base64_encode($blob)."\n");
        }

        return Said::ok();
    }

    private function put(Call $call): Said
    {
        foreach ($call->plain() as $path) {
            if ($call->words[0] === 'rm') {
                $call->board->machine->remove($path);
            } else {
                $call->board->machine->write($path, $call->board->machine->read($path) ?? '');
            }
        }

        return Said::ok();
    }
}
