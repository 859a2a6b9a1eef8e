@props(['finding', 'href' => null, 'link' => ''])
<div {{ $attributes->class('finding') }}>
    @mark($finding->severity->value)
    <strong><span class="unseen">{{ $finding->severity->value }}: </span>{{ $finding->found }}</strong>
    {{ $finding->advice() }}
    @if ($href !== null)
        <a href="{{ $href }}">{{ $link }}</a>
    @endif
</div>
