<x-mishap title="Too large">The text is larger than 5 MB. Paste only the part about this network.</x-mishap>
