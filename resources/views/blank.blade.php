<!doctype html>
<html lang="en">

<head>
    <meta charset="utf-8">
    <title>Blank · Keen Burrow</title>
</head>

<body>
    <p>{{ auth()->user()->name }}</p>
</body>

</html>
