<x-page title="Variants side by side" place="boxes">
    @php($rows = [
        'Jobs' => fn ($plan) => implode(', ', array_map(fn ($role) => $role->label, $plan['answer']->plan->roles)),
        'Board' => fn ($plan) => $plan['answer']->plan->board->label,
        'Supply' => fn ($plan) => $plan['answer']->plan->supply->label,
        'Supply cable' => fn ($plan) => $plan['answer']->plan->cable->label,
        'Disk' => fn ($plan) => $plan['answer']->plan->drive?->label ?? 'none',
        'Card' => fn ($plan) => $plan['answer']->plan->card->label,
        'Image' => fn ($plan) => $plan['answer']->plan->image->label,
        'Case' => fn ($plan) => $plan['answer']->plan->case->label,
        'Hub' => fn ($plan) => $plan['answer']->plan->hub()?->label ?? 'none',
        'Cooling' => fn ($plan) => $plan['answer']->plan->cooling?->label ?? 'none',
        'Add-on' => fn ($plan) => $plan['answer']->plan->addOn?->label ?? 'none',
        'Schools' => fn ($plan) => implode(', ', array_map(fn ($role) => $plan['answer']->plan->school($role)->label, $plan['answer']->plan->roles)),
        'Network' => fn ($plan) => $plan['answer']->plan->link->label(),
    ] + collect($plans)->flatMap(fn ($plan) => array_map(fn ($working) => $working->title, $plan['answer']->workings()))->unique()->mapWithKeys(fn ($title) => [$title => fn ($plan) => collect($plan['answer']->workings())->firstWhere('title', $title)?->result ?? '—'])->all() + [
        'Parts together' => fn ($plan) => (string) $plan['answer']->price(),
    ])
    <x-slot:say><b>{{ count($plans) === 1 ? 'One variant.' : count($plans).' variants.' }}</b> Up to four stand side by side; take one, and drop the others with a reason.</x-slot:say>
    @if (count($plans) === 0)
        <x-empty title="No variant yet" href="/plan" link="Plan a box">On the plan sheet, “Set beside others” puts a plan here.</x-empty>
    @else
        <p class="row below"><a class="ghost" href="{{ $onlyDifferences ? '/plan/variants' : '/plan/variants?differences=1' }}">{{ $onlyDifferences ? 'Show all' : 'Only differences' }}</a> <a class="ghost" href="{{ route('plan', $plans->last()['choices']->toArray()) }}">Change the last one into another</a></p>
        <div class="sheet scroll"><table class="list beside">
            <thead><tr><th scope="col"><span class="unseen">What</span></th>@foreach ($plans as $i => $plan)<th scope="col">Variant {{ $i + 1 }}</th>@endforeach</tr></thead>
            <tbody>
                <tr><th scope="row">Verdict</th>@foreach ($plans as $plan)<td><x-mark :severity="$plan['answer']->findings->worst()?->value ?? 'fine'" /> {{ $plan['answer']->sentence() }}</td>@endforeach</tr>
                @foreach ($rows as $name => $value)
                    @php($cells = collect($plans)->map($value))
                    @if (! $onlyDifferences || $cells->unique()->count() > 1)
                        <tr @class(['differs' => $cells->unique()->count() > 1])><th scope="row">{{ $name }}</th>@foreach ($cells as $cell)<td>{{ $cell }}</td>@endforeach</tr>
                    @endif
                @endforeach
                <tr><th scope="row"><span class="unseen">What to do</span></th>@foreach ($plans as $i => $plan)<td>
                    <p><a class="act" href="{{ route('plan', $plan['choices']->toArray()) }}">Take this one</a></p>
                    <form class="row" method="post" action="{{ route('plan.drop', $plan['id']) }}">@csrf @method('delete')<input class="in" name="reason" aria-label="Why variant {{ $i + 1 }} is dropped" placeholder="dropped because" maxlength="200"><button class="ghost">Drop</button></form>
                </td>@endforeach</tr>
            </tbody>
        </table></div>
    @endif
</x-page>
