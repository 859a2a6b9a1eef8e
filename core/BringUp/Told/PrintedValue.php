<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/** A value that a step's command prints and later commands need: what stands between two texts. */
final readonly class PrintedValue
{
    /**
     * @param  string  $after  what stands before it; empty for the beginning of a line
     * @param  string  $until  what stands behind it; empty for the next blank or the end of the line
     */
    public function __construct(
        public string $name,
        public string $after,
        public string $until,
        public AskedKind $kind,
        public string $label,
    ) {
    }

    /** The last one in a printed text; null when there is none, or what stands there is not of its kind. */
    public function in(string $printed): ?string
    {
        foreach (array_reverse(explode("\n", str_replace("\r", '', $printed))) as $line) {
            $line = trim((string) preg_replace('/\e\[[0-9;]{0,12}[A-Za-z]/', '', $line));
            $at = $this->after === '' ? 0 : strrpos($line, $this->after);
            if ($line === '' || $at === false) {
                continue;
            }
            $rest = substr($line, $at + strlen($this->after));
            $end = $this->until === '' ? strcspn($rest, " \t") : strpos($rest, $this->until);
            $value = $this->kind->normal($end === false ? '' : substr($rest, 0, $end));
            if ($value !== null && $value !== '') {
                return $value;
            }
        }

        return null;
    }
}
