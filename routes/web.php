<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every page is the same shell, without a session: fetched at any moment, it cannot lay an older cookie over a newer one.
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/|up$).*$')->withoutMiddleware('web');
