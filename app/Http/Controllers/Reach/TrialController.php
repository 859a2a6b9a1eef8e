<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Bench\BenchAway;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\OutsideTrial;
use App\Reach\BenchPhone;
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
        self::keep($network, $test, $answered);
        $did = $answered ? 'answered' : 'did not answer';
        $says = $answered === $test->mustAnswer ? 'as it must' : 'which it must not';
        JournalEntry::write($network, 'outside', "Tried from outside: {$port} {$protocol} {$did}, {$says}.");

        return $back->with('told', "{$port} {$protocol} {$did}, {$says}.");
    }

    /** All of them at once, by a phone of the bench that stands outside. */
    public function bench(Household $house, BenchPhone $phone): RedirectResponse
    {
        $network = Network::home();
        $back = redirect()->to(route('reach').'#tests');
        $wrong = $unsure = [];
        $tests = OutsideTest::plan($house, '');
        try {
            foreach ($tests as $test) {
                $answered = $phone->tries($network, $test->port, $test->protocol);
                if ($answered === null) {
                    $unsure[] = "{$test->port} {$test->protocol}";

                    continue;
                }
                self::keep($network, $test, $answered);
                $answered === $test->mustAnswer || ($wrong[] = "{$test->port} {$test->protocol}");
            }
        } catch (BenchAway $away) {
            return $back->with('told', $away->getMessage());
        }
        JournalEntry::write(
            $network,
            'outside',
            'The phone of the bench tried '.
                count($tests).
                ' ports from outside; wrong: '.
                (implode(', ', $wrong) ?: 'none').
                '.',
        );

        return $back->with(
            'told',
            ($wrong === []
                ? 'All that could be told is as it must be.'
                : 'Not as it must be: '.implode(', ', $wrong).'.').
                ($unsure === []
                    ? ''
                    : ' '.
                        implode(', ', $unsure).
                        ' kept silent, which tells nothing over UDP: only a handshake does.'),
        );
    }

    private static function keep(Network $network, OutsideTest $test, bool $answered): void
    {
        OutsideTrial::query()->updateOrCreate(
            ['network_id' => $network->id, 'port' => $test->port, 'protocol' => $test->protocol],
            ['must_answer' => $test->mustAnswer, 'answered' => $answered, 'tried_at' => now()],
        );
    }
}
