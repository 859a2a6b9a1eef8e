<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Service;
use Illuminate\Http\Request;

/** Finds a box, a port, an address or a line of the journal. */
final class FindController
{
    private const MOST = 8;

    public function __invoke(Request $request): string
    {
        $sought = mb_substr($request->string('q')->trim()->value(), 0, 60);
        $like = '%'.addcslashes($sought, '%_\\').'%';
        $none = $sought === '';

        return view('find', [
            'sought' => $sought,
            'boxes' => $none
                ? collect()
                : Box::query()
                    ->where(fn ($query) => $query->where('name', 'like', $like)->orWhere('address', 'like', $like)->orWhere('mac', 'like', $like))
                    ->orderBy('name')
                    ->limit(self::MOST)
                    ->get(),
            'services' => $none
                ? collect()
                : Service::query()
                    ->with('box')
                    ->where(fn ($query) => $query->where('port', ctype_digit($sought) ? (int) $sought : 0)->orWhere('purpose', 'like', $like))
                    ->orderBy('port')
                    ->limit(self::MOST)
                    ->get(),
            'entries' => mb_strlen($sought) < 3
                    ? collect()
                    : JournalEntry::query()->with('box')->where('text', 'like', $like)->orderByDesc('at')->limit(self::MOST)->get(),
        ])->fragmentIf($request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted'), 'found');
    }
}
