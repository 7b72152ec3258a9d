<?php

declare(strict_types=1);

namespace App\Planning;

use Closure;
use Illuminate\Support\Carbon;
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
        $known = $this->find($stage, $hash);
        if ($known !== null) {
            /** @var T */
            return $known;
        }
        $result = $compute();
        $this->keep($stage, $hash, $result);

        return $result;
    }

    public function keep(string $stage, string $hash, object $result): void
    {
        $written = base64_encode(serialize($result));
        DB::table('stage_results')->upsert(
            ['stage' => $stage, 'hash' => $hash, 'result' => self::seal($stage, $hash, $written).':'.$written, 'read_at' => Carbon::now()],
            ['stage', 'hash'],
            ['result', 'read_at'],
        );
    }

    public function find(string $stage, string $hash): ?object
    {
        $row = DB::table('stage_results')->where(['stage' => $stage, 'hash' => $hash])->first(['result', 'read_at']);
        [$seal, $stored] = explode(':', (string) $row?->result, 2) + ['', ''];
        // Reading makes objects: only what this application wrote is read.
        if ($stored === '' || ! hash_equals(self::seal($stage, $hash, $stored), $seal)) {
            return null;
        }
        $this->noteRead($stage, $hash, Carbon::parse($row?->read_at));
        $result = @unserialize((string) base64_decode($stored, true));

        // What an older version wrote may no longer be readable: then it is computed anew.
        return is_object($result) && ! $result instanceof \__PHP_Incomplete_Class ? $result : null;
    }

    /** What is read stays; to know it to the day is enough. */
    private function noteRead(string $stage, string $hash, Carbon $before): void
    {
        if ($before->isBefore(Carbon::now()->subDay())) {
            DB::table('stage_results')->where(['stage' => $stage, 'hash' => $hash])->update(['read_at' => Carbon::now()]);
        }
    }

    private static function seal(string $stage, string $hash, string $written): string
    {
        return hash_hmac('sha256', "$stage:$hash:$written", (string) config('app.key'));
    }
}
