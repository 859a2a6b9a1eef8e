<!doctype html>
<html lang="en">

<head>
    <x-head :title="$title" />
</head>

<body>
    <main class="login">
        <div class="sheet">
            <h1>{{ $title }}</h1>
            <p>{{ $slot }}</p>
            <div class="row"><a class="act" href="/">To Ground</a></div>
        </div>
    </main>
</body>

</html>
