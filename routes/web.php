<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use Illuminate\Support\Facades\Route;

Route::get('/up', [HealthController::class, 'show'])->withoutMiddleware('web');
// Every page is the same shell, without a session: fetched at any moment, it cannot lay an older cookie over a newer one.
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/|up$).*$')->withoutMiddleware('web');
