<?php

declare(strict_types=1);

namespace Tests\Hostile;

use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Incastro\Rules\Rule;
use Incastro\Trial\Dice;

/**
 * Requests that no page would send, by chance from a seed: those that pages do send, with one to three of their values replaced by what
 * breaks programs, taken out, doubled, or wrapped.
 */
final class Requests
{
    private const ACTIONS = ['split-bay', 'split-tier', 'remove-bay', 'remove-tier', 'swap-bay', 'swap-tier', 'mirror', 'copy-bay', 'copy-tier', 'base-upper', 'whole', 'add-run', 'remove-run', 'add', 'start'];

    private const TEXTS = [
        '', ' ', '0', '-1', '1e309', 'NaN', '9223372036854775808', "a\u{0}b", "line\nfeed", "\u{FFFE}", "\u{202E}moc", 'é́́́', '<img src=x onerror=alert(1)>', '{{7*7}}', "'; DROP TABLE jobs; --", '%ff', '../../etc/passwd', '=HYPERLINK("http://evil.example","x")',
        '2147483648', '31 5/8', '48 + 3 1/8', '1,203', '2400', '999999999999 mm', '1/0', '½', '00000000-0000-0000-0000-000000000000', 'true', 'null', '[]', '$', '~', '__proto__', 'layout.do', 'a.b.c.d.e.f.g',
    ];

    private int $sequence = 0;

    public function __construct(private readonly Dice $dice, private readonly User $user)
    {
    }

    /** @return array{string, string, string, string} kind, method, address and body */
    public function next(): array
    {
        $kind = $this->dice->pick(['edit', 'edit', 'edit', 'edit', 'layout', 'layout', 'layout', 'layout', 'facts', 'facts', 'facts', 'facts', 'noted', 'noted', 'noted', 'fitting', 'fitting', 'lessons', 'import', 'ways', 'csv', 'step', 'practice', 'job', 'space', 'home', 'account', 'account', 'people', 'read', 'read', 'raw']);
        [$method, $address, $body] = $this->{$kind}();
        if (is_array($body) && $body !== []) {
            for ($i = $this->dice->pick([0, 0, 0, 1, 2, 3]); $i > 0; $i--) {
                $body = $this->broken($body);
            }
        }
        if ($this->dice->chance(0.05)) {
            $address = strtr($address, ['-4' => '-5', '/api/' => $this->dice->pick(['/api/', '/api//', '/api/%00'])]);
        }

        return [$kind, $method, $address, is_string($body) ? $body : (string) json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR)];
    }

    private function anyJob(): Job
    {
        $ids = Job::query()->whereIn('home_id', $this->user->homes()->select('id'))->pluck('id')->sort()->values()->all();

        // Mostly those that have furniture, which came first.
        return Job::query()->findOrFail($this->dice->pick($this->dice->chance(0.8) ? array_slice($ids, 0, 5) : $ids));
    }

    private function anySpace(?Job $job = null): Space
    {
        return $this->dice->pick(array_values(($job ?? $this->anyJob())->spaces()->get()->all()));
    }

    private function text(): string
    {
        return $this->dice->chance(0.03) ? str_repeat('long ', 14_000) : $this->dice->pick(self::TEXTS);
    }

    private function anything(int $depth = 0): mixed
    {
        return match ($this->dice->whole(0, $depth > 2 ? 7 : 9)) {
            0 => null, 1 => true, 2 => $this->dice->whole(-2_147_483_649, 2_147_483_649), 3 => 1e308, 4, 5, 6 => $this->text(),
            7 => $this->dice->whole(-3, 3), 8 => array_map(fn () => $this->anything($depth + 1), range(0, $this->dice->whole(0, 3))),
            default => ['nm' => $this->anything($depth + 1), 'typed' => $this->anything($depth + 1), $this->text() => $this->anything($depth + 1)],
        };
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function broken(array $body): array
    {
        if ($body === []) {
            return [$this->text() => $this->anything()];
        }
        // What goes deepest into the application is what an edit or a fact carries.
        $key = $this->dice->chance(0.6) ? $this->dice->pick(array_values(array_intersect(['value', 'facts', 'job'], array_keys($body))) ?: array_keys($body)) : $this->dice->pick(array_keys($body));
        if (is_array($body[$key]) && $body[$key] !== [] && $this->dice->chance(0.7)) {
            $body[$key] = $this->broken($body[$key]);

            return $body;
        }
        switch ($this->dice->whole(0, 5)) {
            case 0:
                unset($body[$key]);
                break;
            case 1:
                $body[$key] = [$body[$key]];
                break;
            case 2:
                $body[$this->text()] = $body[$key];
                break;
            default:
                $body[$key] = $this->anything();
        }

        return $body;
    }

    /** @return array{string, string, array<string, mixed>} */
    private function edit(): array
    {
        $job = $this->anyJob();
        $space = $this->anySpace($job);
        $ofJob = $this->dice->chance(0.5);
        $path = $ofJob
            ? $this->dice->pick(['name', 'measure', 'currency', 'painted', 'rules.'.$this->dice->pick(Rule::cases())->value, 'stock.s1', 'articles.a1', 'materials.m1', 'uses.carcass', 'schools.box_joint', 'tools.table_saw'])
            : $this->dice->pick(['name', 'shape.ceiling', 'shape.edges', 'skipped', 'texture', 'textures', 'sheet.low', 'sheet.middle', 'things.t1', 'extras.e1', 'layout', 'layout.closings.x', 'layout.runs.x.depth', 'layout.tiers.x.with', 'layout.bays.x.size']);

        return ['POST', "/api/jobs/$job->id/edits", [
            'target' => $ofJob ? $job->id : $space->id, 'version' => $ofJob ? $job->version : $space->version, 'path' => $path, 'station' => $this->dice->pick(['measure', 'fit', 'pieces', null]),
            'value' => $this->dice->pick([true, null, 'other', '600', ['nm' => 600_000_000, 'typed' => '600'], [0, 1], ['kind' => 'pipe', 'name' => 'x', 'face' => 'back', 'width' => '40'], ['name' => 'x', 'length' => '2440', 'width' => '1220', 'price' => '1']]),
        ]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function layout(): array
    {
        $job = $this->anyJob();
        $space = $this->anySpace($job);
        $runs = $space->choices['layout']['runs'];
        $bay = $runs[0]['bays'][0] ?? ['id' => 'none', 'tiers' => [['id' => 'none']]];
        $value = [
            'action' => $this->dice->pick(self::ACTIONS), 'cell' => $this->dice->pick([$bay['id'], $bay['tiers'][0]['id'], $runs[0]['id'] ?? 'none']), 'seed' => 'a seed of '.$this->dice->whole(0, 99),
            'wall' => $this->dice->whole(-1, 5), 'list' => $this->dice->pick(['members', 'fronts', 'options', 'surfaces', 'runs']), 'kind' => $this->dice->pick(['worktop', 'door', 'cornice', 'cladding', 'bench-lid', 'nonsense']),
            'cells' => [$bay['tiers'][0]['id']], 'name' => $this->dice->pick(['clothes', 'books', 'bench']),
        ];

        return ['POST', "/api/jobs/$job->id/edits", ['target' => $space->id, 'version' => $space->version, 'path' => 'layout.do', 'value' => $value, 'station' => 'fit']];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function facts(): array
    {
        $space = $this->anySpace();
        $known = $space->facts()->limit(20)->pluck('id')->all();
        $fact = fn () => [
            'id' => $this->uuid(), 'device' => '0b8f1f4e-3f0e-4c59-9d0c-0e5a3c8a2b11', 'sequence' => ++$this->sequence, 'taken_at' => $this->dice->pick(['2026-03-15T10:00:00Z', '0001-01-01', 'now', '2026-13-40']),
            'slot' => $this->dice->pick(['width-low-back', 'corner-left', 'plumb-left-low', 'height-left', 'side-0']), 'text' => $this->dice->pick(['903', '90.1', '4', $this->text()]), 'end' => $this->dice->pick([null, 'bottom', 'up']),
            ...($this->dice->chance(0.3) ? ['kind' => Fact::WITHDRAWAL, 'withdraws' => $this->dice->pick([$this->uuid(), ...$known])] : ['kind' => Fact::TAKE]),
        ];

        return ['POST', "/api/spaces/$space->id/facts", ['facts' => array_map($fact, range(1, $this->dice->whole(1, 4))), 'station' => 'measure']];
    }

    /** @return array{string, string, array<string, mixed>} what is noted of a job on fitting day and in its log */
    private function noted(): array
    {
        $job = $this->anyJob();
        $text = fn () => $this->dice->pick(['12', '2:30', '27.50', '2474', $this->text()]);
        $fact = fn () => [
            'id' => $this->uuid(), 'device' => '0b8f1f4e-3f0e-4c59-9d0c-0e5a3c8a2b12', 'sequence' => ++$this->sequence, 'at' => $this->dice->pick(['2026-03-15T10:00:00Z', '0001-01-01', 'now', '2026-13-40']),
            'kind' => $this->dice->pick(['task_done', 'check', 'touch', 'climate', 'stud', 'level', 'hours', 'money', 'built', 'problem', 'fit', 'photo', 'note', 'left', 'withdrawal']),
            'part' => $this->dice->pick([null, 'strip:x', 'plumb:x', $this->anySpace($job)->id.'/0', $this->text()]), 'withdraws' => $this->dice->pick([[], [$this->uuid()]]),
            'body' => ['check' => 'square', 'place' => $this->dice->pick(['1/back', $this->text()]), 'left' => $text(), 'use' => 3, 'listed' => $this->dice->pick([5, 'x', -1]), 'texts' => [$text(), $text()], 'u' => $text(), 'other' => $text(), 'celsius' => $text(), 'humidity' => '50', 'says' => 'dry', 'person' => $this->text(), 'work' => 'saw', 'typed' => $text(), 'from' => $this->dice->pick(['2026-03-15T10:00:00Z', $this->text()]), 'to' => null, 'what' => 'x', 'amount' => $text(), 'text' => $text(), 'problem' => 'other', 'how' => 'jammed', 'by' => $text(), 'words' => $this->text(), 'photo' => $this->uuid()],
        ];

        return ['POST', "/api/jobs/$job->id/facts", ['facts' => array_map($fact, range(1, $this->dice->whole(1, 3))), 'station' => $this->dice->pick(['install', 'log']), 'sent_at' => $this->dice->pick(['2026-03-15T10:00:00Z', 'now'])]];
    }

    /** @return array{string, string, array<string, mixed>} choices about fitting day */
    private function fitting(): array
    {
        $job = $this->anyJob();
        $path = $this->dice->pick(['zone', 'set_up', 'celsius', 'humidity', 'coats', 'primer', 'wallboard', 'before', 'sessions', 'sessions.add', 'sessions.s1', 'hours.filler', 'minutes.level', 'minutes.x', 'dates.x', 'walls.x/0', 'nothing']);
        $value = $this->dice->pick(['Europe/Berlin', 20, null, '2027-03-06', 'masonry', [['strip:x', 'level:x']], ['start' => '2099-03-06T09:00', 'end' => '2099-03-06T13:00', 'people' => 2, 'weeks' => 3, 'note' => ''], [['id' => 'a', 'start' => '2099-03-06T09:00', 'end' => '2099-03-06T13:00', 'people' => 1, 'note' => '', 'cancelled' => false]]]);

        return ['POST', "/api/jobs/$job->id/edits", ['target' => $job->id, 'version' => $job->version, 'path' => "installing.$path", 'value' => $value, 'station' => $this->dice->pick(['install', 'log'])]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function lessons(): array
    {
        return $this->dice->chance(0.5)
            ? ['POST', '/api/homes/'.$this->homeId().'/lessons', ['about' => $this->dice->pick(['jams', 'notch-twice', $this->text()]), 'take' => true]]
            : ['POST', '/api/homes/'.$this->homeId().'/people', ['people' => ['Ada', $this->text()]]];
    }

    /** @return array{string, string, array<string, mixed>|string} */
    private function import(): array
    {
        $home = $this->homeId();
        $document = json_decode((string) file_get_contents(dirname(__DIR__).'/examples/landing-alcove-without-doors.json'), true);
        for ($i = $this->dice->whole(1, 4); $i > 0; $i--) {
            $document = $this->broken($document);
        }

        return ['FILE', "/api/homes/$home/import", (string) json_encode($document, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR)];
    }

    /** @return array{string, string, string} */
    private function csv(): array
    {
        $rows = array_map(fn () => implode(',', [$this->dice->pick(['width-low-back', 'corner-left', $this->text()]), $this->dice->pick(['903', '90.1', $this->text()]), $this->dice->pick(['', 'bottom', '2026-03-15T10:00:00Z', $this->text()])]), range(1, $this->dice->pick([1, 3, 1200])));

        return ['FILE', '/api/spaces/'.$this->anySpace()->id.'/readings.csv', $this->dice->pick(['slot,value,taken_at', 'slot,value,end', 'slot', ''])."\n".implode("\n", $rows)];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function ways(): array
    {
        return ['POST', '/api/homes/'.$this->homeId().'/ways-in', ['path' => $this->dice->pick(['w1', 'w1.width', 'w2.kind', '']), 'value' => $this->dice->pick([null, '800', ['kind' => 'door', 'name' => 'Door', 'width' => '790', 'height' => '1980', 'second_width' => null]])]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function step(): array
    {
        return ['POST', '/api/jobs/'.$this->anyJob()->id.'/'.$this->dice->pick(['undo', 'redo']), ['station' => 'fit']];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function practice(): array
    {
        return ['POST', '/api/spaces/'.$this->anySpace()->id.'/practice/reading', ['slot' => $this->dice->pick(['height-left', 'width-low-back', 'side-0'])]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function job(): array
    {
        return ['POST', '/api/homes/'.$this->homeId().'/jobs', ['name' => 'A job', 'space' => 'A space', 'measure' => $this->dice->pick(['mm/1', 'in/16']), 'kind' => $this->dice->pick(['alcove', 'closet', 'under-stair', 'other']), 'practice' => $this->dice->chance(0.5)]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function space(): array
    {
        return $this->dice->chance(0.3) ? ['DELETE', '/api/spaces/'.$this->anySpace()->id, ['station' => 'fit']] : ['POST', '/api/jobs/'.$this->anyJob()->id.'/spaces', ['name' => 'Another', 'kind' => 'closet']];
    }

    private function homeId(): string
    {
        return (string) $this->user->homes()->firstOrFail()->id;
    }

    /** @return array{string, string, array<string, mixed>} */
    private function home(): array
    {
        return ['PATCH', '/api/homes/'.$this->homeId(), ['name' => 'Home']];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function account(): array
    {
        return match ($this->dice->whole(0, 6)) {
            0 => ['POST', '/api/session', ['email' => 'nobody@mail.example', 'password' => 'a long password']],
            1 => ['POST', '/api/account', ['name' => 'Ada', 'email' => 'ada'.$this->dice->whole(0, 3).'@mail.example', 'password' => 'oak tape lintel']],
            2 => ['PUT', '/api/account/password', ['current_password' => 'not mine', 'password' => 'oak tape lintel']],
            3 => ['DELETE', '/api/account', ['password' => 'not mine']],
            4 => ['POST', '/api/account/recovery', ['email' => 'nobody@mail.example', 'code' => 'aaaa-aaaa-aaaa-aaaa-aaaa', 'password' => 'oak tape lintel']],
            5 => ['POST', '/api/account/confirmation', ['token' => 'x']],
            default => ['DELETE', '/api/account/devices', ['id' => str_repeat('a', 64)]],
        };
    }

    /** @return array{string, string, array<string, mixed>} */
    private function people(): array
    {
        $job = $this->anyJob()->id;

        return match ($this->dice->whole(0, 4)) {
            0 => ['POST', "/api/jobs/$job/invitations", ['days' => 7]],
            1 => ['DELETE', "/api/jobs/$job/invitations", ['all' => true]],
            2 => ['POST', '/api/invitation/join', ['token' => 'x']],
            3 => ['DELETE', "/api/jobs/$job/helpers", ['id' => $this->uuid()]],
            default => ['POST', '/api/invitation', ['token' => 'x']],
        };
    }

    /** @return array{string, string, array<string, mixed>} */
    private function read(): array
    {
        $space = $this->anySpace();
        $odd = rawurlencode($this->text());

        return ['GET', $this->dice->pick([
            "/api/jobs/{$space->job_id}?station=$odd", "/api/jobs/{$space->job_id}?station=sheets&space=$odd", "/api/jobs/$odd", "/api/spaces/{$space->id}/view?view=plan&run=$odd&at=$odd", "/api/spaces/{$space->id}/scribe-line?edge=$odd",
            "/api/spaces/{$space->id}/pieces/$odd", "/api/spaces/{$space->id}/pieces/$odd/file?kind=$odd", "/api/jobs/{$space->job_id}/rules/$odd", "/api/spaces/{$space->id}/cells/$odd/sketch?kind=$odd", "/api/spaces/{$space->id}/template?edge=$odd&kind=$odd",
            "/api/spaces/{$space->id}/readings.csv", "/api/jobs/{$space->job_id}/export", "/api/jobs/{$space->job_id}/history", "/api/jobs/{$space->job_id}?station=install", "/api/jobs/{$space->job_id}?station=log", "/api/jobs/{$space->job_id}/install.ics", "/api/jobs/{$space->job_id}/log.pdf", "/api/jobs/{$space->job_id}/log/money.csv", "/api/jobs/{$space->job_id}/photos/$odd", '/api/homes/'.$this->homeId().'/lessons', '/api/homes', "/api/spaces/{$space->id}/elevation.svg?run=$odd", "/api/spaces/{$space->id}/ways-out?code=$odd&place=$odd",
        ]), []];
    }

    /** @return array{string, string, string} what is no JSON, or more of it than there is */
    private function raw(): array
    {
        $bodies = [
            '{"a":', str_repeat('[', 600), "\xff\xfe", '{"0":'.str_repeat('{"131072":', 40).'1'.str_repeat('}', 41), 'name=%ff', '"text"', '[1,2,3]', '{"path":"name","path":"name"}', str_repeat('9', 400),
            '{'.implode(',', array_map(fn (int $i) => "\"$i\":0", range(1, 60))).'}', '{"email":"a\\u0000b"}', '{"email":"\\ud800"}',
        ];

        return ['POST', $this->dice->pick(['/api/session', '/api/account', '/api/jobs/'.$this->anyJob()->id.'/edits', '/api/spaces/'.$this->anySpace()->id.'/facts']), $this->dice->pick($bodies)];
    }

    private function uuid(): string
    {
        $hex = implode('', array_map(fn () => sprintf('%04x', $this->dice->whole(0, 65_535)), range(1, 8)));

        return sprintf('%s-%s-4%s-8%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20, 12));
    }
}
