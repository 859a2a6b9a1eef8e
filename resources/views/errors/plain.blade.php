<x-mishap :title="$title">{{ $words }}</x-mishap>
