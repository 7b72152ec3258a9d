<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Database\QueryException;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Whether the application can work: it cannot without its database. */
final class HealthController extends Controller
{
    public function show(): Response
    {
        try {
            DB::selectOne('SELECT 1');
        } catch (QueryException) {
            return response('The database does not answer.', 503, ['Content-Type' => 'text/plain', 'Retry-After' => '5']);
        }

        return response('Well.', 200, ['Content-Type' => 'text/plain']);
    }
}
