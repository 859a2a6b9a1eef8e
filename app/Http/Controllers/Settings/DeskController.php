<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Models\Desk;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Catalogue\Part\DeskSystem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Profiles of the desk computers: checked before the evening, not during it. */
final class DeskController
{
    /** What a desk computer has or does, and how it is asked. */
    public const TRAITS = [
        'card_slot' => 'has a card slot',
        'login_client' => 'has a login client (ssh)',
        'file_copier' => 'can copy files to a box (scp)',
        'plain_editor' => 'has a plain text editor',
        'local_names' => 'finds names that end in .local',
        'administrator' => 'you have administrator rights',
        'sleeps' => 'goes to sleep by itself',
        'restarts' => 'restarts by itself for updates',
    ];

    public function index(Request $request): View
    {
        $desks = Desk::query()->orderBy('name')->get();

        return view('settings.desks', [
            'desks' => $desks,
            'edited' => $desks->firstWhere('id', $request->integer('edit')),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $typed = $request->validate(
            [
                'id' => ['nullable', 'integer'],
                'name' => [
                    'required',
                    'string',
                    'max:60',
                    'not_in:none',
                    Rule::unique('desk_computers', 'name')->ignore($request->integer('id')),
                ],
                'system' => ['required', Rule::enum(DeskSystem::class)],
                'usb_plug' => ['required', 'in:USB-A,USB-C'],
                'hours' => ['required', 'numeric', 'between:0,24'],
                'watts' => ['required', 'numeric', 'between:0,2000'],
            ],
            [
                'name.unique' => 'There is a desk computer of that name already.',
                'name.*' => 'A name by which the household knows it, up to 60 characters.',
                'system.*' => 'One of the three.',
                'usb_plug.*' => 'USB-A or USB-C.',
                'hours.*' => 'Hours a day, 0 to 24.',
                'watts.*' => 'Watts while it is on and idle, 0 to 2000.',
            ],
        );
        $traits = array_map(
            fn (string $trait): bool => $request->boolean($trait),
            array_combine(array_keys(self::TRAITS), array_keys(self::TRAITS)),
        );
        $desk = Desk::query()->updateOrCreate(
            ['id' => $typed['id'] ?? null],
            array_diff_key($typed, ['id' => 0]) + $traits,
        );
        JournalEntry::write(Network::home(), 'desk', "Desk computer described: {$desk->name}.");

        return redirect()->route('desks')->with('told', 'Kept. A plan checks it from now on.');
    }

    public function destroy(Desk $desk): RedirectResponse
    {
        JournalEntry::write(Network::home(), 'desk', "Desk computer taken off the list: {$desk->name}.");
        $desk->delete();

        return redirect()
            ->route('desks')
            ->with('told', "{$desk->name} is off the list.");
    }
}
