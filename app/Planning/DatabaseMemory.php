<?php

declare(strict_types=1);

namespace App\Planning;

use Closure;
use Illuminate\Support\Facades\DB;
use Incastro\Planning\StageMemory;

/** Remembers stages of the planner in PostgreSQL, shared by all web servers and workers. */
final class DatabaseMemory implements StageMemory
{
    /**
     * @template T of object
     *
     * @param  Closure(): T  $compute
     * @return T
     */
    public function remember(string $stage, string $hash, Closure $compute): object
    {
        $stored = DB::table('stage_results')->where(['stage' => $stage, 'hash' => $hash])->value('result');
        if (is_string($stored)) {
            $result = @unserialize((string) base64_decode($stored, true));
            // What an older version wrote may no longer be readable: then it is computed anew.
            if (is_object($result) && ! $result instanceof \__PHP_Incomplete_Class) {
                /** @var T */
                return $result;
            }
        }
        $result = $compute();
        DB::table('stage_results')->upsert(
            ['stage' => $stage, 'hash' => $hash, 'result' => base64_encode(serialize($result))],
            ['stage', 'hash'],
            ['result'],
        );

        return $result;
    }
}
