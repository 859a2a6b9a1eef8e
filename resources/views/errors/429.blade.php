<x-mishap title="Too many tries">Wait a minute, then try again. This keeps others from guessing passwords.</x-mishap>
