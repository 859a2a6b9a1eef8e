<?php

declare(strict_types=1);

namespace App\Http\Controllers\Journal;

use App\Models\JournalEntry;
use Illuminate\Contracts\View\View;

/** What happened, newest first. */
final class JournalController
{
    public function __invoke(): View
    {
        return view('journal.index', [
            'entries' => JournalEntry::query()->with('box')->orderByDesc('at')->orderByDesc('id')->paginate(60),
        ]);
    }
}
