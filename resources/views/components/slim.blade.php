@props(['finding'])
<div class="slim">@mark($finding->severity->value)<span><span class="unseen">{{ $finding->severity->value }}: </span><b>{{ $finding->found }}</b> {{ $finding->advice() }}</span></div>
