<div class="sheet">
    <h2>What {{ count($answer->plan->jobs) === 1 ? 'the job brings with it' : 'the jobs bring with them' }}</h2>
    @foreach ($answer->plan->jobs as $job)
        @if (count($answer->plan->jobs) > 1)
            <h3>{{ ucfirst($job->label) }}</h3>
        @endif
        <dl class="facts">
            <dt>ports</dt>
            <dd>
                @foreach ($job->ports as $port)
                    <span class="mono">{{ $port->port->number }}/{{ $port->protocol->value }}</span> {{ $port->purpose }},
                    {{ $port->mayFaceWorld ? 'may be opened to the outside' : 'for the house only' }}{{ $loop->last ? '' : ';' }}
                @endforeach
            </dd>
            <dt>updates</dt>
            <dd>every {{ $job->cadenceDays }} days</dd>
            <dt>back up</dt>
            <dd>{{ implode('; ', $job->backUp) }}</dd>
            <dt>it works when</dt>
            <dd>{{ implode('; ', $job->verify) }}</dd>
            @if ($job->cautions !== [])
                <dt>caution</dt>
                <dd>{{ implode(' ', $job->cautions) }}</dd>
            @endif
        </dl>
    @endforeach
</div>
<div class="sheet scroll">
    <h2>Schools of installing</h2>
    @foreach ($answer->plan->jobs as $job)
        @php($field = $choices->schoolField($job))
        @if (count($answer->plan->jobs) > 1)
            <h3>{{ ucfirst($job->label) }}</h3>
        @endif
        @php($waiting = fn($school) => \Burrow\Plan\Time\InstallTime::of($answer->plan->with(schools: $answer->plan->schools->choosing($job, $school)))->waitingFor($job))
        <table class="list schools">
            <thead>
                <tr>
                    <th scope="col"><span class="unseen">What</span></th>
                    @foreach ($job->schools as $school)
                        <th scope="col">
                            <label>
                                @if ($field !== null)
                                    <input type="radio" form="plan" name="{{ $field }}" value="{{ $school->id }}" @checked($school === $answer->plan->school($job))>
                                @endif
                                <span>{{ ucfirst($school->label) }}</span>
                            </label>
                        </th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ([
                    'hands' => fn($school) => (string) $school->hands,
                    'waiting' => fn($school) => (string) $waiting($school),
                    'disk' => fn($school) => $school->disk->decimal(),
                    'memory' => fn($school) => $school->memory->count === 0 ? 'the job\'s own' : "{$school->memory->binary()} more",
                    'updates' => fn($school) => $school->update,
                    'risk' => fn($school) => $school->risk,
                    'settled' => fn($school) => $school->maturity,
                    'way out' => fn($school) => $school->wayOut,
                ] as $what => $cell)
                    <tr>
                        <th scope="row">{{ $what }}</th>
                        @foreach ($job->schools as $school)
                            <td>{{ $cell($school) }}</td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endforeach
</div>
