@props(['notes'])
<dl class="router-notes">
    @foreach (\App\Addresses\RouterPage::FIELDS as $field => [$label])
        @if (($notes[$field] ?? '') !== '')
            <dt>{{ $label }}</dt>
            <dd>{{ $notes[$field] }}</dd>
        @endif
    @endforeach
</dl>
