<x-mishap title="Not for guests">{{ $exception->getMessage() ?: 'You may look at everything and change nothing.' }}</x-mishap>
