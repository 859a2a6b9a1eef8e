<?php

declare(strict_types=1);

namespace App\Http\Controllers\Filter;

use App\Filter\Folder;
use App\Jobs\CompareLists;
use App\Models\Box;
use App\Models\FilterException;
use App\Models\FilterList;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Sighting;
use Burrow\Filter\FilterFindings;
use Burrow\Filter\ListMemory;
use Burrow\Filter\Lists;
use Burrow\Filter\LogTold;
use Burrow\Filter\Write\DnsmasqNames;
use Burrow\Filter\Write\HostsList;
use Burrow\Filter\Write\RpzList;
use Burrow\Filter\Write\UnboundList;
use Burrow\Intake\Names\ListLine;
use Burrow\Intake\Names\NameSet;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;

/** Lists of names chosen by what was asked: what each would have refused, what it adds, what would break. */
final class FilterController
{
    private const MISSING = 'The file is missing, empty, or larger than 64 MB.';

    /** Bytes of all lists together: what a comparison of them holds in memory, at some 150 bytes a name. */
    private const ALL_LISTS = 64_000_000;

    /** Bytes a day above which a log wears a card for little (common practice). */
    private const LOG_A_DAY = 100_000_000;

    /** Days in which a client that was seen should have asked. */
    private const SEEN_DAYS = 7;

    private const NO_NAME = 'That is no name a resolver is asked.';

    /** Names of one file that is written here; more are written at the terminal. */
    private const NAMES = 300_000;

    public function index(): View
    {
        $result = Folder::here()->result();
        $network = Network::home();

        return view('filter.index', [
            'told' => LogTold::tryFrom((string) $network->log_told),
            'findings' => $this->findings($network, $result),
            'memory' => ListMemory::of((int) FilterList::query()->where('chosen', true)->sum('names')),
            'filters' => Box::query()->naming()->orderBy('id')->get(),
            'lists' => FilterList::query()->orderBy('id')->get()->keyBy('name'),
            'exceptions' => FilterException::query()->orderBy('name')->limit(200)->get(),
            'result' => $result,
            'hasLog' => is_file(Folder::here()->log()),
            'at' => Cache::get(CompareLists::AT),
            'why' => is_array(session('why')) ? session('why') : null,
            'judged' => is_array(session('wrong'))
                ? Findings::of(Finding::kept(session('wrong')))
                : Findings::of(),
        ]);
    }

    /**
     * @param  ?array<string, mixed>  $result
     */
    private function findings(Network $network, ?array $result): Findings
    {
        if ($result === null) {
            return Findings::of();
        }
        $days = is_numeric($result['days'] ?? null) ? (float) $result['days'] : null;
        $bytes = is_file(Folder::here()->log()) ? (int) filesize(Folder::here()->log()) : 0;
        $found = [
            LogTold::tryFrom((string) $network->log_told)?->against(
                is_int($result['queries']) ? $result['queries'] : 0,
                $days,
            ),
            $days !== null && $days >= 0.5 && $bytes / $days > self::LOG_A_DAY
                ? FilterFindings::logWears($bytes / $days)
                : null,
        ];
        foreach (FilterList::query()->whereNotNull('names_before')->orderBy('id')->get() as $list) {
            if (abs($list->names - $list->names_before) * 2 > $list->names_before) {
                $found[] = FilterFindings::listChanged(
                    (string) $list->name,
                    (int) $list->names_before,
                    (int) $list->names,
                );
            }
        }
        $asked = array_column(is_array($result['clients'] ?? null) ? $result['clients'] : [], 'client');
        // With the router in between it alone asks, and nobody is told apart.
        if (count($asked) > 1) {
            $never = Sighting::query()
                ->where('network_id', $network->id)
                ->where('last_seen', '>=', now()->subDays(self::SEEN_DAYS))
                ->whereNotIn('address', [...array_slice($asked, 0, 2000), (string) $network->router])
                ->whereNotIn('address', Box::query()->here()->whereNotNull('address')->select('address'))
                ->orderBy('id')
                ->limit(40)
                ->get()
                ->map(fn (Sighting $one): string => (string) ($one->label ?: $one->name ?: $one->address))
                ->all();
            $never === [] || ($found[] = FilterFindings::neverAsked(array_values($never)));
        }

        return Findings::of(...array_values(array_filter($found)));
    }

    /** What the household was told of the log. */
    public function told(Request $request): RedirectResponse
    {
        Network::home()->update([
            'log_told' => LogTold::tryFrom($request->string('log_told')->value())?->value,
        ]);

        return $this->back('#log', 'Kept.');
    }

    public function add(Request $request): RedirectResponse
    {
        $name = trim($request->string('list_name')->value());
        $file = $request->file('list_file');
        $list = FilterList::query()->firstOrNew(['name' => $name]);
        $wrong = match (true) {
            preg_match('/^[\p{L}\p{N}][\p{L}\p{N} ._-]{0,59}$/Du', $name) !== 1 => [
                'list_name',
                'What is the list called? Up to 60 letters, digits and blanks.',
            ],
            ! $list->exists && FilterList::query()->count() >= Lists::MOST => [
                'list_name',
                'More lists than '.Lists::MOST.' are not held beside each other.',
            ],
            $this->tooMuch($list, $file) => ['list_file', 'All lists together may hold 64 MB here.'],
            default => ['list_file', self::MISSING],
        };
        if ($wrong !== ['list_file', self::MISSING] || ! $this->holdsSomething($file)) {
            return $this->wrong('#lists', $wrong[0], $wrong[1], $request, [
                'list_name',
                'list_origin',
                'list_because',
            ]);
        }
        $list
            ->fill([
                'origin' => trim($request->string('list_origin')->value()) ?: $list->origin,
                'because' => trim($request->string('list_because')->value()) ?: $list->because,
                'chosen' => $list->exists ? $list->chosen : ! $request->boolean('list_try'),
            ])
            ->save();
        $file->move(dirname(Folder::here()->list($list)), basename(Folder::here()->list($list)));
        JournalEntry::write(Network::home(), 'filter', "The list {$name} is on the bench.");
        dispatch(new CompareLists());

        return $this->back('#lists', "{$name} is there; it is being held against the log.");
    }

    public function away(FilterList $list): RedirectResponse
    {
        @unlink(Folder::here()->list($list));
        $list->delete();
        dispatch(new CompareLists());

        return $this->back('#lists', 'The list is away.');
    }

    public function log(Request $request): RedirectResponse
    {
        $file = $request->file('log_file');
        if (! $this->holdsSomething($file)) {
            return $this->wrong('#log', 'log_file', self::MISSING, $request, []);
        }
        $file->move(dirname(Folder::here()->log()), basename(Folder::here()->log()));
        dispatch(new CompareLists());

        return $this->back('', 'The log is there and being read.');
    }

    /** Ends a comparison that takes too long, or begins one. */
    public function compare(Request $request): RedirectResponse
    {
        if ($request->boolean('end')) {
            Cache::put(CompareLists::AT, -1, 120);

            return $this->back('', 'It ends at the next lines.');
        }
        dispatch(new CompareLists());

        return $this->back('', 'It is being worked out.');
    }

    public function choose(FilterList $list): RedirectResponse
    {
        $list->update(['chosen' => ! $list->chosen]);

        return $this->back(
            '#lists',
            $list->chosen ? "{$list->name} goes into the file." : "{$list->name} stays out of the file.",
        );
    }

    /** A name is answered all the same, with what is below it; or no more. */
    public function exception(Request $request): RedirectResponse
    {
        $name = ListLine::normal(strtolower(trim($request->string('exception')->value(), " .\t")));
        if ($name === null) {
            return $this->wrong('#exceptions', 'exception', self::NO_NAME, $request, [
                'exception',
                'exception_because',
            ]);
        }
        try {
            FilterException::query()->create([
                'name' => $name,
                'because' => trim($request->string('exception_because')->value()) ?: null,
            ]);
        } catch (UniqueConstraintViolationException) {
            return $this->wrong('#exceptions', 'exception', "{$name} is answered already.", $request, [
                'exception',
                'exception_because',
            ]);
        }
        JournalEntry::write(Network::home(), 'filter', "{$name} is answered all the same.");
        dispatch(new CompareLists());

        return $this->back('#exceptions', "{$name} is answered, and what is below it.");
    }

    public function noException(FilterException $exception): RedirectResponse
    {
        $exception->delete();
        dispatch(new CompareLists());

        return $this->back('#exceptions', "{$exception->name} goes by the lists again.");
    }

    /** Why is this name refused? */
    public function why(Request $request): RedirectResponse
    {
        $typed = trim($request->string('why_name')->value(), " .\t");
        $name = ListLine::normal(strtolower($typed));
        if ($name === null) {
            return $this->wrong('#why', 'why_name', self::NO_NAME, $request, ['why_name']);
        }
        $found = [];
        $end = implode('.', array_slice(explode('.', $name), -2));
        foreach (FilterList::query()->orderBy('id')->get() as $list) {
            foreach (Folder::lines(Folder::here()->list($list)) as $number => $line) {
                // Every name that covers it ends as it does; only a name in other letters is not seen so.
                if (stripos($line, $end) === false && preg_match('/[\x80-\xff]/', $line) !== 1) {
                    continue;
                }
                foreach (ListLine::names($line) ?? [] as $one) {
                    $plain = ltrim($one, '*@');
                    $fits = $plain === $name || ($one[0] === '*' && str_ends_with($name, ".{$plain}"));
                    if ($fits && $one[0] !== '@' && count($found) < 20) {
                        $found[] = [
                            'list' => (string) $list->name,
                            'line' => $number,
                            'entry' => mb_strimwidth($line, 0, 120, '…'),
                        ];
                    }
                }
            }
        }
        $let =
            array_values(
                array_filter(
                    FilterException::names(),
                    fn (string $one): bool => $one === $name || str_ends_with($name, ".{$one}"),
                ),
            )[0] ?? null;

        return $this->back('#why', '')
            ->withInput(['why_name' => $typed])
            ->with('why', ['name' => $name, 'found' => $found, 'let' => $let]);
    }

    /** The chosen lists as the file of one resolver. */
    public function file(string $kind): Response|RedirectResponse
    {
        $writer =
            [
                'rpz' => new RpzList(),
                'unbound' => new UnboundList(),
                'dnsmasq' => new DnsmasqNames(),
                'hosts' => new HostsList(),
            ][$kind] ?? abort(404);
        $refused = new NameSet();
        $count = 0;
        foreach (FilterList::query()->where('chosen', true)->orderBy('id')->get() as $list) {
            foreach (Folder::lines(Folder::here()->list($list)) as $line) {
                foreach (ListLine::names($line) ?? [] as $one) {
                    if ($one[0] !== '@') {
                        $refused->add($one);
                        $count++;
                    }
                }
                if ($count > self::NAMES) {
                    return $this->back(
                        '#lists',
                        'These are more than '.
                            number_format(self::NAMES, 0, '.', ' ').
                            ' names; write them at the terminal.',
                    );
                }
            }
        }
        $allowed = new NameSet();
        foreach (FilterException::names() as $name) {
            $allowed->add("*{$name}");
        }

        return response($writer->of($refused, $allowed), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"refused.{$kind}\"",
        ]);
    }

    /** The lists would be too many bytes with this file in the place of what the list holds now. */
    private function tooMuch(FilterList $list, mixed $file): bool
    {
        return $file instanceof UploadedFile &&
            Folder::here()->listBytes($list) + (int) $file->getSize() > self::ALL_LISTS;
    }

    /** @phpstan-assert-if-true UploadedFile $file */
    private function holdsSomething(mixed $file): bool
    {
        return $file instanceof UploadedFile && $file->isValid() && $file->getSize() > 0;
    }

    /** @param  list<string>  $fields  what was typed and stays */
    private function wrong(
        string $at,
        string $field,
        string $found,
        Request $request,
        array $fields,
    ): RedirectResponse {
        $finding = FilterFindings::typed($found, str_ends_with($field, '_file'))->at(Place::field($field));

        return $this->back($at, '')
            ->withInput($request->only($fields))
            ->with('wrong', $finding->jsonSerialize());
    }

    private function back(string $at, string $told): RedirectResponse
    {
        $back = redirect()->to(route('filter').$at);

        return $told === '' ? $back : $back->with('told', $told);
    }
}
