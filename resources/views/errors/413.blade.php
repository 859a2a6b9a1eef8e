<x-mishap title="Too large">The text is larger than 5 MB; only lists and logs of names may have 64. Paste only the part about this network.</x-mishap>
