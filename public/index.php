<?php

declare(strict_types=1);

use App\Http\Middleware\ReadableBodies;
use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

require __DIR__.'/../vendor/autoload.php';

// Making a request decodes what was sent, and fields that were chosen to collide take minutes there: it is looked at before.
$refusal = ReadableBodies::refusal((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH), $_SERVER['QUERY_STRING'] ?? '', (int) ($_SERVER['CONTENT_LENGTH'] ?? 0), (string) file_get_contents('php://input'), $_COOKIE !== []);
if ($refusal !== null) {
    http_response_code($refusal[0]);
    header('Content-Type: application/json');
    header('Cache-Control: no-store');
    echo json_encode(['message' => $refusal[1]]);
    exit;
}

$app = require __DIR__.'/../bootstrap/app.php';

$app->handleRequest(Request::capture());
