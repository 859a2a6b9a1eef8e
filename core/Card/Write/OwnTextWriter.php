<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Catalogue\Part\OwnText;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** An image's own commented text file, with the lines that are ours filled in. */
final class OwnTextWriter
{
    public function write(OwnText $form, FirstBoot $settings): CardFile
    {
        $wifi = $settings->wifis[0] ?? null;
        $values = [
            'host' => $settings->name->label,
            'ssid' => $wifi?->ssid,
            'key' => $wifi?->secret,
            'country' => $settings->country,
            'zone' => $settings->timeZone,
        ];
        $lines = array_map(function (string $line) use ($values): CardLine {
            $value = preg_match('/\{\{(\w+)\}\}/', $line, $match) === 1 ? $values[$match[1]] ?? null : '';

            return $value === null
                ? new CardLine('#'.$line, 'Not needed here, so it stays a comment.')
                : new CardLine(str_replace($match[0] ?? "\0", $value, $line));
        }, $form->lines);

        return new CardFile($form->file, $lines);
    }

    /** A value runs to the end of its line, so that a blank at its edge is lost. */
    public function findings(FirstBoot $settings): Findings
    {
        $wifi = $settings->wifis[0] ?? null;

        return Findings::of(
            ...array_filter([
                count($settings->wifis) > 1 ? WriteFindings::ownTextOneNetwork() : null,
                $wifi !== null && trim($wifi->ssid) !== $wifi->ssid
                    ? WriteFindings::ownTextBlank(Place::field('ssid_1'))
                    : null,
            ]),
        );
    }
}
