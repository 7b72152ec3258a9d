<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * The framework's limits, counted and compared in one statement: tries that come at one moment are all counted, where looking first
 * and counting afterwards lets them all through.
 */
final class CountedTries extends ThrottleRequests
{
    /** @param array<object{key: string, maxAttempts: int, decaySeconds: int}> $limits */
    protected function handleRequest($request, Closure $next, array $limits)
    {
        foreach ($limits as $limit) {
            [$count, $seconds] = self::count($limit->key, $limit->decaySeconds);
            if ($count > $limit->maxAttempts) {
                abort(429, sprintf('Too many tries. Wait %s, then try again.', $seconds > 90 ? sprintf('%d minutes', ceil($seconds / 60)) : "$seconds seconds"), ['Retry-After' => $seconds]);
            }
        }

        return $next($request);
    }

    /** @return array{int, int} how often it was tried since the count began, and the seconds until it begins anew */
    private static function count(string $key, int $seconds): array
    {
        $ends = Carbon::now()->addSeconds($seconds);
        $row = DB::selectOne(
            'INSERT INTO tries (key, count, ends_at) VALUES (:key, 1, :ends) ON CONFLICT (key) DO UPDATE SET
                count = CASE WHEN tries.ends_at <= :now THEN 1 ELSE tries.count + 1 END,
                ends_at = CASE WHEN tries.ends_at <= :now2 THEN :ends2 ELSE tries.ends_at END
             RETURNING count, ends_at',
            ['key' => $key, 'ends' => $ends, 'now' => Carbon::now(), 'now2' => Carbon::now(), 'ends2' => $ends],
        );

        return [(int) $row->count, max(1, (int) ceil(Carbon::now()->diffInSeconds(Carbon::parse($row->ends_at))))];
    }
}
