<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\OutsideTrial;
use Burrow\Household\Household;
use Burrow\Reach\OutsideTest;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What somebody saw who tried a port of the house from outside. */
final class TrialController
{
    public function __invoke(Request $request, Household $house): RedirectResponse
    {
        $back = redirect()->to(route('reach').'#tests');
        $network = Network::home();
        $port = $request->integer('port');
        $protocol = $request->string('protocol')->value();
        $test = collect(OutsideTest::plan($house, ''))->first(
            fn (OutsideTest $one): bool => $one->port === $port && $one->protocol === $protocol,
        );
        if ($test === null) {
            return $back->with(
                'told',
                'That port is not among those to be tried any more; nothing was noted.',
            );
        }
        $answered = $request->boolean('answered');
        OutsideTrial::query()->updateOrCreate(
            ['network_id' => $network->id, 'port' => $port, 'protocol' => $protocol],
            ['must_answer' => $test->mustAnswer, 'answered' => $answered, 'tried_at' => now()],
        );
        $did = $answered ? 'answered' : 'did not answer';
        $says = $answered === $test->mustAnswer ? 'as it must' : 'which it must not';
        JournalEntry::write($network, 'outside', "Tried from outside: {$port} {$protocol} {$did}, {$says}.");

        return $back->with('told', "{$port} {$protocol} {$did}, {$says}.");
    }
}
