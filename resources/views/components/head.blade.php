@props(['title'])
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ $title }} · Keen Burrow</title>
<link rel="icon" href="/favicon.svg" type="image/svg+xml">
<link rel="manifest" href="/manifest.webmanifest">
<link rel="icon" href="/icons/burrow-192.png" type="image/png" sizes="192x192">
<link rel="stylesheet" href="/lib/bulma.min.css">
@foreach (['fonts', 'tokens', 'burrow', 'ground', 'addresses', 'plan', 'card', 'bringup', 'diagnosis', 'ports', 'stores', 'upkeep', 'journal', 'paper'] as $stage)
    <link rel="stylesheet" href="/css/{{ $stage }}.css">
@endforeach
