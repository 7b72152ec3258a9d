<?php

declare(strict_types=1);

namespace Tests\Faults;

use PDO;
use PHPUnit\Framework\TestCase;
use Throwable;

/**
 * What happens to what was acknowledged when people work at one moment, and when the database or the workers of PHP are killed in the
 * middle: on an instance of its own, which these tests start and stop. INCASTRO_ROUNDS kills each so often (3 on demand), INCASTRO_SECONDS
 * says how long people race (20 on demand).
 */
final class FaultsTest extends TestCase
{
    /** Seconds in which `start` must bring everything back. */
    private const BACK = 10.0;

    private static string $base;

    public static function setUpBeforeClass(): void
    {
        self::incastro('start');
        self::$base = 'http://127.0.0.1:'.(getenv('INCASTRO_FAULTS_PORT') ?: '8680');
    }

    public static function tearDownAfterClass(): void
    {
        self::incastro('stop');
    }

    public function test_people_who_change_one_job_at_one_moment_lose_nothing(): void
    {
        $owner = (new Client(self::$base))->arrive();
        $ends = microtime(true) + (float) (getenv('INCASTRO_SECONDS') ?: 6);
        $until = fn (callable $do) => function (Client $client) use ($do, $ends): array {
            $done = [];
            while (microtime(true) < $ends) {
                $done[] = $do($client, count($done));
            }

            return $done;
        };
        $step = fn (Client $client, int $i): array => ['step', $i % 3 === 2 ? $client->ask('POST', "/api/jobs/$client->job/undo")[0] : $client->edit()];
        $fact = function (Client $client, int $i): array {
            [$id, $status] = $client->read();

            // Every third is sent again, as a device does that lost the answer; and what is read is taken back, so that the place never fills.
            $again = $i % 3 === 0 ? $client->ask('POST', "/api/spaces/$client->space/facts", ['facts' => [['id' => Client::uuid(), 'device' => Client::uuid(), 'sequence' => 1, 'kind' => 'withdrawal', 'taken_at' => gmdate('c'), 'withdraws' => $id]]])[0] : $status;

            return ['fact', max($status, $again), $status === 200 ? $id : null];
        };
        $way = function (Client $client, int $i): array {
            $id = 'w'.bin2hex(random_bytes(4));
            $status = $client->ask('POST', "/api/homes/$client->home/ways-in", ['path' => $id, 'value' => ['kind' => 'door', 'name' => 'Door', 'width' => '790', 'height' => '1980', 'second_width' => null]])[0];

            return ['way', $status, $status === 200 ? $id : null];
        };
        $out = function (Client $client, int $i): array {
            [$status, $answer] = $client->ask('POST', "/api/jobs/$client->job/spaces", ['name' => 'Another']);

            return ['space', max($status, $status === 201 ? $client->ask('DELETE', '/api/spaces/'.$answer['id'])[0] : $status)];
        };
        $done = array_merge(...self::together([$owner->twin(), $owner->twin(), $owner->twin(), $owner->twin()], [$until($step), $until($fact), $until($way), $until($out)]));
        $failed = array_filter($done, fn (array $one) => $one[1] >= 500 || $one[1] === 0);
        self::assertSame([], $failed, count($done).' requests');
        self::assertGreaterThan(20, count($done));
        $this->assertStored($owner, $done);
        $ways = array_column(array_filter($done, fn (array $one) => $one[0] === 'way' && isset($one[2])), 2);
        $kept = array_column($owner->ask('GET', '/api/homes')[1][0]['ways_in'], 'id');
        self::assertSame([], array_diff($ways, $kept));
    }

    public function test_a_database_that_is_killed_loses_nothing_that_was_acknowledged(): void
    {
        $this->killed(function (): void {
            posix_kill((int) file(self::folder().'/postgres/postmaster.pid')[0], SIGKILL);
        }, true);
    }

    public function test_workers_that_are_killed_lose_nothing_that_was_acknowledged(): void
    {
        $this->killed(function (): void {
            for ($i = 0; $i < 4; $i++) {
                foreach (explode("\n", trim((string) shell_exec('pgrep -P '.trim((string) file_get_contents(self::folder().'/run/fpm.pid'))))) as $worker) {
                    posix_kill((int) $worker, SIGKILL);
                }
                usleep(300_000);
            }
        }, false);
    }

    public function test_a_backup_restores_every_row(): void
    {
        (new Client(self::$base))->arrive()->read();
        $dump = self::folder().'/incastro.dump';
        $address = sprintf('postgresql://incastro@127.0.0.1:%s/', getenv('INCASTRO_FAULTS_DB_PORT') ?: '8681');
        $environment = 'PGPASSWORD='.escapeshellarg(self::password());
        self::command("$environment pg_dump --format=custom --file=$dump {$address}incastro");
        self::command("$environment psql -q {$address}postgres -c 'DROP DATABASE IF EXISTS restored' -c 'CREATE DATABASE restored'");
        self::command("$environment pg_restore --no-owner --dbname={$address}restored $dump");
        $tables = self::database()->query("SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename != 'tries' ORDER BY tablename")->fetchAll(PDO::FETCH_COLUMN);
        self::assertGreaterThan(12, count($tables));
        foreach ($tables as $table) {
            $content = "SELECT count(*), md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) FROM \"$table\" t";
            self::assertSame(self::database()->query($content)->fetch(PDO::FETCH_NUM), self::database('restored')->query($content)->fetch(PDO::FETCH_NUM), $table);
        }
    }

    /** Four people write while something is killed; then all that was acknowledged is there, and so is the application. */
    private function killed(callable $kill, bool $needsStart): void
    {
        for ($round = (int) (getenv('INCASTRO_ROUNDS') ?: 1); $round > 0; $round--) {
            $people = array_map(fn () => (new Client(self::$base))->arrive(), range(1, 4));
            $ends = microtime(true) + 3;
            $writes = function (Client $client) use ($ends): array {
                $done = [];
                while (microtime(true) < $ends) {
                    if (count($done) % 3 === 2) {
                        $done[] = ['step', $client->edit()];
                        continue;
                    }
                    [$id, $status] = $client->read();
                    $done[] = ['fact', $status, $status === 200 ? $id : null];
                    if (count($done) > 14) {
                        $client->ask('POST', "/api/jobs/$client->job/undo");
                    }
                }

                return $done;
            };
            $all = self::together($people, array_fill(0, 4, $writes), function () use ($kill): void {
                usleep(1_200_000);
                $kill();
            });
            $began = microtime(true);
            if ($needsStart) {
                self::incastro('start');
            }
            while ($people[0]->ask('GET', '/up')[0] !== 200 && microtime(true) - $began < 2 * self::BACK) {
                usleep(100_000);
            }
            self::assertLessThan(self::BACK, microtime(true) - $began, 'Back only after that many seconds.');
            foreach ($people as $i => $person) {
                self::assertNotSame([], array_filter($all[$i], fn (array $one) => $one[1] === 200));
                $this->assertStored($person, $all[$i]);
                self::assertSame(200, $person->read()[1]);
            }
        }
    }

    /**
     * Every acknowledged fact stands in the book once, and the version says how many edits there were.
     *
     * @param  list<array{0: string, 1: int, 2?: ?string}>  $done
     */
    private function assertStored(Client $person, array $done): void
    {
        $facts = array_column(array_filter($done, fn (array $one) => $one[0] === 'fact' && isset($one[2])), 2);
        $stored = self::database()->prepare('SELECT id FROM facts WHERE space_id = ?');
        $stored->execute([$person->space]);
        self::assertSame([], array_diff($facts, $stored->fetchAll(PDO::FETCH_COLUMN)));
        $versions = self::database()->prepare('SELECT s.version, 1 + (SELECT count(*) FROM edits e WHERE e.target = s.id AND e.version IS NOT NULL) FROM spaces s WHERE s.id = ?');
        $versions->execute([$person->space]);
        [$version, $steps] = $versions->fetch(PDO::FETCH_NUM);
        self::assertSame((int) $version, (int) $steps);
        // A step is an edit, or an undo of whatever was last: a reading's has no version.
        $acknowledged = count(array_filter($done, fn (array $one) => $one[0] === 'step' && $one[1] === 200));
        $kept = self::database()->prepare("SELECT count(*) FROM edits WHERE job_id = ? AND (version IS NOT NULL OR role != 'edit')");
        $kept->execute([$person->job]);
        self::assertGreaterThanOrEqual($acknowledged, (int) $kept->fetchColumn());
    }

    /**
     * Each does their own at the same time, in a process of its own.
     *
     * @param  list<Client>  $people
     * @param  list<callable(Client): list<mixed>>  $each
     * @return list<list<mixed>>
     */
    private static function together(array $people, array $each, ?callable $meanwhile = null): array
    {
        $files = $children = [];
        foreach ($people as $i => $person) {
            $files[$i] = (string) tempnam(sys_get_temp_dir(), 'fault');
            $child = pcntl_fork();
            if ($child === 0) {
                // Whatever happens, the child ends here: it must not go on with the suite beside its parent.
                try {
                    file_put_contents($files[$i], json_encode($each[$i]($person)));
                } catch (Throwable $broken) {
                    file_put_contents($files[$i], json_encode((string) $broken));
                }
                posix_kill((int) getmypid(), SIGKILL);
            }
            $children[] = $child;
        }
        if ($meanwhile !== null) {
            $meanwhile();
        }
        foreach ($children as $child) {
            pcntl_waitpid($child, $status);
        }

        return array_map(function (string $file): array {
            $done = json_decode((string) file_get_contents($file), true);
            unlink($file);
            self::assertIsArray($done, 'One of them broke off: '.json_encode($done));

            return $done;
        }, $files);
    }

    private static function folder(): string
    {
        return dirname(__DIR__, 2).'/var/faults';
    }

    private static function password(): string
    {
        return (string) file_get_contents(self::folder().'/database-password');
    }

    private static function database(string $name = 'incastro'): PDO
    {
        return new PDO(sprintf('pgsql:host=127.0.0.1;port=%s;dbname=%s', getenv('INCASTRO_FAULTS_DB_PORT') ?: '8681', $name), 'incastro', self::password());
    }

    private static function incastro(string $command): void
    {
        self::command('env -u APP_ENV -u DB_DATABASE -u DB_PORT -u APP_URL -u APP_KEY -u INCASTRO_URL INCASTRO_INSTANCE=faults '.dirname(__DIR__, 2)."/incastro $command");
    }

    private static function command(string $command): void
    {
        exec("$command 2>&1", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
    }
}
