<div class="sheet">
    <h2>What {{ count($answer->plan->roles) === 1 ? 'the job brings with it' : 'the jobs bring with them' }}</h2>
    @foreach ($answer->plan->roles as $role)
        @if (count($answer->plan->roles) > 1)
            <h3>{{ ucfirst($role->label) }}</h3>
        @endif
        <dl class="facts">
            <dt>ports</dt>
            <dd>
                @foreach ($role->ports as $port)
                    <span class="mono">{{ $port->port->number }}/{{ $port->protocol->value }}</span> {{ $port->purpose }},
                    {{ $port->mayFaceWorld ? 'may be opened to the outside' : 'for the house only' }}{{ $loop->last ? '' : ';' }}
                @endforeach
            </dd>
            <dt>updates</dt>
            <dd>every {{ $role->cadenceDays }} days</dd>
            <dt>back up</dt>
            <dd>{{ implode('; ', $role->backUp) }}</dd>
            <dt>it works when</dt>
            <dd>{{ implode('; ', $role->verify) }}</dd>
            @if ($role->cautions !== [])
                <dt>caution</dt>
                <dd>{{ implode(' ', $role->cautions) }}</dd>
            @endif
        </dl>
    @endforeach
</div>
<div class="sheet scroll">
    <h2>Schools of installing</h2>
    @foreach ($answer->plan->roles as $role)
        @php($field = $choices->schoolField($role))
        @if (count($answer->plan->roles) > 1)
            <h3>{{ ucfirst($role->label) }}</h3>
        @endif
        @php($waiting = fn($school) => \Burrow\Plan\Time\InstallTime::of($answer->plan->with(schools: $answer->plan->schools->choosing($role, $school)))->waitingFor($role))
        <table class="list schools">
            <thead>
                <tr>
                    <th scope="col"><span class="unseen">What</span></th>
                    @foreach ($role->schools as $school)
                        <th scope="col">
                            <label>
                                @if ($field !== null)
                                    <input type="radio" form="plan" name="{{ $field }}" value="{{ $school->id }}" @checked($school === $answer->plan->school($role))>
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
                        @foreach ($role->schools as $school)
                            <td>{{ $cell($school) }}</td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endforeach
</div>
