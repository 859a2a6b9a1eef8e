<x-mishap title="This page was open too long">Go back, load it again, and send it once more. Nothing was changed.</x-mishap>
