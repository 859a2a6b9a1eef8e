<x-mishap title="Not here">There is no such page. It may have been dropped, or the address was mistyped.</x-mishap>
