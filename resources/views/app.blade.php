<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <title>Incastro</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
<div id="app"></div>
<noscript>Incastro computes on the server, but its screens need JavaScript.</noscript>
</body>
</html>
