<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <meta name="theme-color" content="#1b1f22">
    <title>Iron Start</title>
    <link rel="icon" href="/rod.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>Iron Start needs JavaScript.</noscript>
</body>
</html>
