<?php

declare(strict_types=1);

namespace Bench\Net;

/** An sshd that runs for a board, with the folder of its keys. */
final class RunningLogin
{
    private const FILES = ['host', 'keys', 'passwd', 'group', 'log'];

    /** @param  resource  $process */
    public function __construct(private $process, private readonly string $folder)
    {
    }

    public function __destruct()
    {
        $this->stop();
    }

    public function stop(): void
    {
        if (! is_resource($this->process)) {
            return;
        }
        proc_terminate($this->process);
        proc_close($this->process);
        foreach (self::FILES as $file) {
            @unlink("{$this->folder}/{$file}");
        }
        @rmdir($this->folder);
    }
}
