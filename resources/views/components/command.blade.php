@props(['id', 'text'])
<div class="cmd">
    <div class="where"><span>{{ $where }}</span><button type="button" data-copy="{{ $id }}">Copy</button></div>
    <pre id="{{ $id }}" tabindex="0">{{ $text }}</pre>
</div>
