<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\Addresses\Described\NetworkFile;
use Burrow\Addresses\NetworkAnswer;
use Illuminate\Console\Command;

final class AddressCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:address {file : networks as YAML or JSON} {--json : everything as JSON}';

    protected $description = 'Networks described: what is free, what speaks against them, split and joined prefixes';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        $answer = NetworkAnswer::to(NetworkFile::read($text, Catalogue::schema('network'), basename($file)));
        if ($this->option('json')) {
            return $this->json($answer, $answer->findings->blocks() ? 1 : 0);
        }
        /** @var array{networks: list<array{name: string, prefix: string, free: int, next_free: ?string, gaps: list<array{from: string, to: string, addresses: int}>, ranges: list<array{name: string, from: string, to: string, free: int, next_free: ?string}>}>} $told */
        $told = $answer->jsonSerialize();
        foreach ($told['networks'] as $network) {
            $this->line(
                "{$network['name']} {$network['prefix']}: {$network['free']} free, next ".
                    ($network['next_free'] ?? 'none'),
            );
            foreach ($network['ranges'] as $range) {
                $this->line(
                    "  {$range['name']} {$range['from']}–{$range['to']}: {$range['free']} free, next ".
                        ($range['next_free'] ?? 'none'),
                );
            }
            foreach ($network['gaps'] as $gap) {
                $this->line("  free {$gap['from']}–{$gap['to']} ({$gap['addresses']})");
            }
        }
        foreach ($answer->split as $part) {
            $this->line("{$part}  {$part->hosts()}");
        }
        foreach ($answer->joined as $part) {
            $this->line("joined {$part}");
        }

        return $this->tell($answer->findings);
    }
}
