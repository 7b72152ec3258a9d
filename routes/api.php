<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\HelperController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\InstallController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PieceController;
use App\Http\Controllers\PricesController;
use App\Http\Controllers\RecoveryController;
use App\Http\Controllers\RuleController;
use App\Http\Controllers\SawController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetsController;
use App\Http\Controllers\SumController;
use App\Http\Controllers\SurveyController;
use App\Http\Controllers\UnitController;
use App\Http\Controllers\VocabularyController;
use App\Http\Middleware\SignedInLately;
use Illuminate\Support\Facades\Route;

Route::get('/session', [SessionController::class, 'show']);
Route::post('/prices/quotes', [PricesController::class, 'quotes'])->middleware('throttle:60,1');
Route::middleware('throttle:sign-in')->group(function (): void {
    Route::post('/session', [SessionController::class, 'store']);
    Route::post('/session/demo', [SessionController::class, 'demo']);
    Route::post('/account/confirmation', [AccountController::class, 'confirm']);
    Route::post('/account/forgotten', [RecoveryController::class, 'forgotten']);
    Route::post('/account/reset', [RecoveryController::class, 'reset']);
    Route::post('/account/recovery', [RecoveryController::class, 'recover']);
});
Route::post('/account', [AccountController::class, 'store'])->middleware('throttle:register');

Route::middleware(['auth:sanctum', SignedInLately::class, 'throttle:person'])->group(function (): void {
    Route::delete('/session', [SessionController::class, 'destroy']);
    Route::get('/account/devices', [SessionController::class, 'devices']);
    Route::delete('/account/devices', [SessionController::class, 'end']);
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::put('/account/password', [AccountController::class, 'password']);
        Route::post('/account/recovery-code', [RecoveryController::class, 'code']);
        Route::delete('/account', [AccountController::class, 'destroy']);
    });

    Route::get('/vocabulary', [VocabularyController::class, 'show']);
    Route::get('/sums', [SumController::class, 'index']);
    Route::get('/sums/{sum}', [SumController::class, 'show']);
    Route::get('/sums/{sum}/card.pdf', [SumController::class, 'card'])->middleware('throttle:costly');
    Route::get('/homes', [HomeController::class, 'index']);
    Route::post('/homes', [HomeController::class, 'store']);
    Route::get('/helping', [HomeController::class, 'helping']);
    Route::post('/invitation', [HelperController::class, 'look'])->middleware('throttle:costly');
    Route::post('/invitation/join', [HelperController::class, 'join'])->middleware('throttle:costly');

    Route::get('/labels/{label}', [SawController::class, 'label'])->middleware('can:read,label');

    Route::middleware('can:own,home')->group(function (): void {
        Route::patch('/homes/{home}', [HomeController::class, 'update']);
        Route::delete('/homes/{home}', [HomeController::class, 'destroy']);
        Route::post('/homes/{home}/ways-in', [HomeController::class, 'waysIn']);
        Route::delete('/homes/{home}/offcuts/{offcut}', [SawController::class, 'takeOffcut']);
        Route::post('/homes/{home}/at-hand', [HomeController::class, 'atHand']);
        Route::post('/homes/{home}/saws', [HomeController::class, 'sawsOwned']);
        Route::get('/homes/{home}/lessons', [LessonController::class, 'index'])->middleware('throttle:costly');
        Route::post('/homes/{home}/lessons', [LessonController::class, 'answer']);
        Route::post('/homes/{home}/people', [LessonController::class, 'people']);
        Route::post('/homes/{home}/jobs', [JobController::class, 'store']);
        Route::post('/homes/{home}/import', [ExchangeController::class, 'import'])->middleware('throttle:costly');
    });

    Route::middleware('can:own,job')->group(function (): void {
        Route::delete('/jobs/{job}', [JobController::class, 'takeOut']);
        Route::post('/jobs/{job}/put-back', [JobController::class, 'putBack'])->withTrashed();
        Route::post('/jobs/{job}/invitations', [HelperController::class, 'invite']);
        Route::delete('/jobs/{job}/invitations', [HelperController::class, 'takeBack']);
    });

    Route::middleware('can:work,job')->group(function (): void {
        Route::get('/jobs/{job}', [JobController::class, 'show']);
        Route::post('/jobs/{job}/spaces', [EditController::class, 'addSpace']);
        Route::post('/jobs/{job}/edits', [EditController::class, 'edit']);
        Route::post('/jobs/{job}/undo', [EditController::class, 'undo']);
        Route::post('/jobs/{job}/redo', [EditController::class, 'redo']);
        Route::get('/jobs/{job}/history', [EditController::class, 'history']);
        Route::get('/jobs/{job}/helpers', [HelperController::class, 'index']);
        Route::delete('/jobs/{job}/helpers', [HelperController::class, 'letGo']);
        Route::post('/jobs/{job}/releases', [SawController::class, 'release'])->middleware('throttle:costly');
        Route::post('/jobs/{job}/offcuts', [SawController::class, 'keepOffcut']);
        Route::get('/jobs/{job}/{table}.csv', [SawController::class, 'table'])->whereIn('table', ['pieces', 'cuts'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/sheets/side-by-side', [SheetsController::class, 'sideBySide'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/sheets/{number}.{format}', [ExchangeController::class, 'sheet'])->whereNumber('number')->whereIn('format', ['svg', 'dxf'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/as-cut/{part}', [SawController::class, 'asCut'])->whereUuid('part');
        Route::get('/jobs/{job}/yard.pdf', [SawController::class, 'yard'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/labels.pdf', [SawController::class, 'labels'])->middleware('throttle:costly');
        Route::post('/jobs/{job}/facts', [SawController::class, 'facts']);
        Route::get('/jobs/{job}/install', [InstallController::class, 'show']);
        Route::get('/jobs/{job}/install.ics', [InstallController::class, 'calendar'])->middleware('throttle:costly');
        Route::post('/jobs/{job}/photos', [PhotoController::class, 'store']);
        Route::get('/jobs/{job}/photos/{photo}', [PhotoController::class, 'show'])->whereUuid('photo');
        Route::delete('/jobs/{job}/photos/{photo}', [PhotoController::class, 'destroy'])->whereUuid('photo');
        Route::get('/jobs/{job}/log', [LogController::class, 'show']);
        Route::get('/jobs/{job}/log.pdf', [LogController::class, 'report'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/log/{table}.csv', [LogController::class, 'table'])->whereIn('table', ['hours', 'money'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/units', [UnitController::class, 'index']);
        Route::get('/jobs/{job}/rules/{rule}', [RuleController::class, 'show']);
        Route::get('/jobs/{job}/export', [ExchangeController::class, 'export']);
        Route::get('/jobs/{job}/to-buy.{format}', [ExchangeController::class, 'toBuy'])->whereIn('format', ['csv', 'pdf'])->middleware('throttle:costly');
        Route::get('/jobs/{job}/cut-sheet', [ExchangeController::class, 'cutSheet'])->middleware('throttle:costly');
    });

    Route::middleware('can:work,space')->group(function (): void {
        Route::get('/spaces/{space}/elevation.svg', [ExchangeController::class, 'elevation']);
        Route::get('/spaces/{space}/view', [FitController::class, 'view']);
        Route::get('/spaces/{space}/cells/{tier}/sketch', [FitController::class, 'sketch']);
        Route::get('/spaces/{space}/scribe-line', [FitController::class, 'scribeLine']);
        Route::get('/spaces/{space}/round', [FitController::class, 'round']);
        Route::post('/spaces/{space}/between', [FitController::class, 'between']);
        Route::get('/spaces/{space}/ways-out', [FitController::class, 'waysOut']);
        Route::get('/spaces/{space}/starting-layouts', [FitController::class, 'startingLayouts'])->middleware('throttle:costly');
        Route::get('/spaces/{space}/pieces/{key}', [PieceController::class, 'show']);
        Route::get('/spaces/{space}/pieces/{key}/file', [PieceController::class, 'file']);
        Route::get('/spaces/{space}/pieces/{key}/drilling', [PieceController::class, 'drilling']);
        Route::get('/spaces/{space}/template', [FitController::class, 'template']);
        Route::post('/spaces/{space}/facts', [EditController::class, 'facts']);
        Route::get('/spaces/{space}/measuring-sheet', [SurveyController::class, 'sheet'])->middleware('throttle:costly');
        Route::get('/spaces/{space}/readings.csv', [SurveyController::class, 'csv']);
        Route::post('/spaces/{space}/readings.csv', [SurveyController::class, 'importCsv'])->middleware('throttle:costly');
        Route::post('/spaces/{space}/practice/reading', [SurveyController::class, 'practiceReading']);
        Route::get('/spaces/{space}/practice/report', [SurveyController::class, 'practiceReport']);
        Route::delete('/spaces/{space}', [EditController::class, 'takeOutSpace']);
    });
});
