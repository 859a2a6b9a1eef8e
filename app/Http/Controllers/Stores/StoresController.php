<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use App\Models\Store;
use Illuminate\Contracts\View\View;

/** The disks that files are kept on. */
final class StoresController
{
    public function __invoke(): View
    {
        return view('stores.index', ['stores' => Store::query()->with('box')->orderBy('id')->get()]);
    }
}
