<x-page title="Variants side by side" place="boxes">
    <x-slot:say><b>{{ count($plans) === 1 ? 'One variant.' : count($plans) . ' variants.' }}</b> Up to four stand side by side; take one, and drop the others with a
        reason.</x-slot:say>
    @if (count($plans) === 0)
        <x-empty title="No variant yet" href="/plan" link="Plan a box">On the plan sheet, “Set beside others” puts a plan here.</x-empty>
    @else
        <p class="row below"><a class="ghost"
                href="{{ $onlyDifferences ? '/plan/variants' : '/plan/variants?differences=1' }}">{{ $onlyDifferences ? 'Show all' : 'Only differences' }}</a> <a class="ghost"
                href="{{ route('plan', $plans->last()['choices']->toArray()) }}">Change the last one into another</a></p>
        <div class="sheet scroll">
            <table class="list beside">
                <thead>
                    <tr>
                        <th scope="col"><span class="unseen">What</span></th>
                        @foreach ($plans as $i => $plan)
                            <th scope="col">Variant {{ $i + 1 }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    <tr>
                        <th scope="row">Verdict</th>
                        @foreach ($plans as $plan)
                            <td>@mark($plan['answer']->findings->worst()?->value ?? 'fine') {{ $plan['answer']->sentence() }}</td>
                        @endforeach
                    </tr>
                    @foreach ($rows as $row)
                        <tr @class(['differs' => $row->differs()])>
                            <th scope="row">{{ $row->name }}</th>
                            @foreach ($row->cells as $cell)
                                <td>{{ $cell }}</td>
                            @endforeach
                        </tr>
                    @endforeach
                    <tr>
                        <th scope="row"><span class="unseen">What to do</span></th>
                        @foreach ($plans as $i => $plan)
                            <td>
                                <p><a class="act" href="{{ route('plan', $plan['choices']->toArray()) }}">Take this one</a></p>
                                <form class="row" method="post" action="{{ route('plan.drop', $plan['id']) }}">@csrf @method('delete')<input class="in" name="reason"
                                        aria-label="Why variant {{ $i + 1 }} is dropped" placeholder="dropped because" @longest('reason')><button class="ghost">Drop</button>
                                </form>
                            </td>
                        @endforeach
                    </tr>
                </tbody>
            </table>
        </div>
    @endif
</x-page>
