<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use Burrow\Judgement\Findings;
use Burrow\Stores\Rest\SpinDown;
use Burrow\Stores\StoresFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Whether a disk should stop between uses, and after how long. */
final class RestController
{
    /** Waits that are held beside each other, in minutes. */
    private const WAITS = [5, 10, 20, 60, 120, 240];

    /** Field: least, most, what it is where nobody said. */
    private const FIELDS = [
        'asked' => [0, 10_000, 40],
        'rated' => [1_000, 2_000_000, 50_000],
        'turning' => [0.1, 40, 5],
        'resting' => [0, 20, 0.6],
        'years' => [0.5, 30, 5],
    ];

    public function __invoke(Request $request): View
    {
        $typed = $wrong = [];
        $values = array_fill_keys(array_keys(self::FIELDS), -1.0);
        foreach (self::FIELDS as $field => [$least, $most, $usual]) {
            $typed[$field] = mb_substr(trim($request->string($field, (string) $usual)->value()), 0, 12);
            $isOne = preg_match('/^\d{1,7}(?:\.\d{1,3})?$/D', $typed[$field]) === 1;
            $values[$field] = $isOne ? (float) $typed[$field] : -1.0;
            if ($values[$field] < $least || $values[$field] > $most) {
                $wrong[] = StoresFindings::notBetween($field, $least, $most);
            }
        }

        return view('stores.rest', [
            'typed' => $typed,
            'years' => $values['years'],
            'findings' => Findings::of(...$wrong),
            'waits' => $wrong !== []
                    ? []
                    : array_map(
                        fn (int $wait): SpinDown => new SpinDown(
                            $values['asked'],
                            $wait,
                            (int) $values['rated'],
                            $values['turning'],
                            $values['resting'],
                        ),
                        self::WAITS,
                    ),
        ]);
    }
}
