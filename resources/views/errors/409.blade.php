<x-mishap title="Not now">{{ $exception->getMessage() }} Nothing was changed.</x-mishap>
