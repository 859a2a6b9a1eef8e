<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;
use Bench\Net\Door;

/** nginx: its sites, those with TLS only when their certificate is there. */
final class Web implements Service
{
    public function unit(): string
    {
        return 'nginx.service';
    }

    public function package(): string
    {
        return 'nginx';
    }

    public function problem(Board $board): ?string
    {
        foreach ($this->sites($board) as $path => $text) {
            preg_match_all('/ssl_certificate\S* (\S+);/', $text, $files);
            foreach ($files[1] as $file) {
                if ($board->machine->read($file) === null) {
                    return "nginx: [emerg] cannot load certificate \"{$file}\": No such file or directory";
                }
            }
            if (substr_count($text, '{') !== substr_count($text, '}')) {
                return "nginx: [emerg] unexpected end of file, expecting \"}\" in {$path}";
            }
        }

        return null;
    }

    public function doors(Board $board): array
    {
        $doors = [];
        foreach ($this->sites($board) as $text) {
            preg_match_all('/listen (\d+)( ssl)?;/', $text, $listens, PREG_SET_ORDER);
            foreach ($listens as $listen) {
                $doors[] = new Door((int) $listen[1], serve: Answers::page('Behind TLS'), tls: isset($listen[2]));
            }
        }

        return $doors;
    }

    /** @return array<string, string> */
    private function sites(Board $board): array
    {
        return array_filter(
            $board->machine->files,
            fn (string $path): bool => str_starts_with($path, '/etc/nginx/sites-enabled/') ||
                str_starts_with($path, '/etc/nginx/conf.d/'),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
