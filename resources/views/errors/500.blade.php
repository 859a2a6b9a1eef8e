<x-mishap title="Something broke here">It was written to the log in var/storage/logs. What was kept before is still kept; go back and try once more.</x-mishap>
