<?php

declare(strict_types=1);

namespace App\Planning;

use App\Editing\History;
use App\Models\Job;
use App\Models\JobFact;
use App\Models\Label;
use App\Models\Release;
use App\Models\User;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Incastro\Check\Verdict;
use Incastro\Cut\Stock;
use Incastro\Exchange\CuttingWriter;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use Incastro\Planning\SawChoices;
use Incastro\Saw\AsCut;
use Incastro\Saw\Fate;
use Incastro\Saw\Lying;
use Incastro\Saw\Ticks;
use Incastro\Saw\Tools;

/**
 * Releases a job for cutting, and says how far the cutting has come.
 *
 * @phpstan-import-type Told from JobFact
 */
final readonly class Cutting
{
    public function __construct(private JobAnswer $answer, private Planner $planner, private History $history)
    {
    }

    /**
     * Freezes the plan as it is. What is cut already and still as it should be stays; the rest is planned anew, from what lies about first.
     *
     * @param  bool  $isAnyway  although something clashes
     *
     * @throws ValidationException
     */
    public function release(Job $job, User $user, bool $isAnyway): Release
    {
        $plan = $this->answer->plan($job, isThorough: true);
        self::refuse($plan, $isAnyway);

        // Two who release at once do it one after the other, and the second goes on from the first.
        return $this->history->changing($job, fn (): Release => $this->made($job, $user, $plan));
    }

    private function made(Job $job, User $user, Plan $plan): Release
    {
        $newest = Release::newest($job);
        $number = 1 + ($newest->number ?? 0);
        [$plan, $done] = $newest === null ? [$plan, []] : $this->goneOn($plan, $newest, JobFact::ofJob($job->id));
        $cutting = (new CuttingWriter($plan, self::tools($job), self::saws($job)['window'], $done, Label::codes($job, array_map(fn (Piece $piece) => $piece->mark, $plan->pieces())), $number))->write();

        $release = Release::query()->create([
            'job_id' => $job->id, 'user_id' => $user->id, 'author' => $user->name, 'number' => $number,
            'hash' => self::hash($plan), 'cutting' => $cutting,
            'cuts' => array_merge([], ...array_map(fn (array $step) => array_column($step['cuts'], 'id'), $cutting['steps'])),
        ]);
        self::beginAnew($release);
        self::count($job);
        Shelf::reserve($job, $plan);

        return $release;
    }

    /**
     * The station at the saw.
     *
     * @param  ?string  $known  release that whoever asks has already: it is not sent again
     * @return array<string, mixed>
     */
    public static function station(Job $job, Plan $plan, ?string $known = null): array
    {
        $release = Release::newest($job);
        $facts = $release === null ? [] : JobFact::ofJob($job->id);

        return [
            'release' => $release === null ? null : [
                'id' => $release->id, 'number' => $release->number, 'at' => $release->created_at->toIso8601ZuluString(), 'author' => $release->author,
                'changed' => $release->hash !== self::hash($plan), 'cutting' => $release->id === $known ? null : $release->cutting,
                'facts' => self::judged($job, $release, $facts),
                'late' => self::late($release, $facts),
                'rests' => Shelf::offered($job, self::lying($release, $facts)->rests()),
            ],
        ];
    }

    /** What was spoiled is to be cut again: the ticks of the piece that is thrown away are taken back, so that they do not count for the new one. */
    private static function beginAnew(Release $release): void
    {
        $facts = JobFact::ofJob($release->job_id);
        $spoiled = Ticks::spoiled($facts);
        $old = array_column(array_filter(Ticks::standing($facts), fn (array $fact) => isset($spoiled[$fact['part'] ?? ''])), 'id');
        foreach (array_chunk($old, 100) as $i => $withdraws) {
            // From a device of its own: no other counts on its numbers.
            JobFact::query()->create([
                'job_id' => $release->job_id, 'release_id' => $release->id, 'user_id' => $release->user_id, 'author' => $release->author, 'device' => (string) Str::uuid(),
                'sequence' => $i, 'kind' => Ticks::WITHDRAWAL, 'withdraws' => $withdraws, 'at' => now(), 'recorded_at' => now(),
            ]);
        }
    }

    /** How far the cutting has come, for the tape. */
    public static function fact(Job $job): string
    {
        return match (true) {
            $job->cuts_in_all === null => 'not released',
            $job->cuts_in_all === 0 => 'nothing to cut',
            $job->cuts_made >= $job->cuts_in_all => 'all cut',
            default => sprintf('%d of %s', $job->cuts_made, Verdict::count($job->cuts_in_all, 'cut')),
        };
    }

    /** Writes down with the job how far its newest release and fitting day have come and what the log holds, so that no other answer of it need ask its facts. */
    public static function count(Job $job): void
    {
        $facts = JobFact::ofJob($job->id);
        $cuts = Release::query()->where('job_id', $job->id)->latest('number')->first(['id', 'cuts'])?->cuts;
        $job->forceFill(['noted' => ['fitting' => FittingStation::standing($facts), 'log' => LogStation::fact($facts)]] + ($cuts === null ? [] : ['cuts_in_all' => count($cuts), 'cuts_made' => count(array_intersect_key(array_flip($cuts), Ticks::cut($facts)))]))->save();
    }

    /**
     * Pieces that were noted as cut on an older plan, and that this one has otherwise or still to cut.
     *
     * @param  list<Told>  $facts
     * @return list<array{mark: string, ticks: list<string>}>
     */
    private static function late(Release $release, array $facts): array
    {
        $marks = [];
        foreach (Release::query()->where('job_id', $release->job_id)->where('number', '<', $release->number)->get() as $before) {
            foreach ($before->cutting['parts'] as $id => $part) {
                if ($part['fate'] === Fate::Piece->value) {
                    $marks[$id] = $part['piece'];
                }
            }
        }
        $known = array_fill_keys(array_values($release->cutting['done']), true) + $release->cutting['parts'];
        $late = [];
        foreach (Ticks::standing($facts) as $fact) {
            if ($fact['kind'] === Ticks::CUT && isset($marks[$fact['part']]) && ! isset($known[$fact['part']])) {
                $late[$marks[$fact['part']]][] = $fact['id'];
            }
        }

        return array_map(fn (string $mark, array $ticks) => ['mark' => $mark, 'ticks' => $ticks], array_keys($late), array_values($late));
    }

    /**
     * @param  list<Told>  $facts
     * @return list<array<string, mixed>> what happened, sizes as cut with what is to be said of them
     */
    private static function judged(Job $job, Release $release, array $facts): array
    {
        $pieces = array_column($release->cutting['pieces'], null, 'part');
        $asCut = new AsCut(LengthFormat::of($job->choices['measure']));
        $byDevice = Ticks::byDevice($facts);

        return array_map(function (array $fact) use ($pieces, $asCut, $byDevice): array {
            $piece = $pieces[$fact['part'] ?? ''] ?? null;
            $dimension = $fact['body']['dimension'] ?? null;
            $sizes = $fact['kind'] === Ticks::AS_CUT ? $byDevice[$fact['part'] ?? ''][$dimension] ?? [] : [];
            if ($piece !== null && $sizes !== [] && Ticks::isUndecided($sizes)) {
                return $fact + ['judged' => $asCut->undecided($piece['mark'], $sizes)];
            }

            return $fact + ['judged' => $fact['kind'] !== Ticks::AS_CUT || $piece === null || ! isset($piece['good'][$dimension])
                ? null
                : $asCut->judge($piece['mark'], $piece[$dimension]['nm'], $fact['body']['nm'] ?? 0, $piece['good'][$dimension], $piece['uses'][$dimension] ?? [])];
        }, $facts);
    }

    /**
     * The steps for the cut sheet: of the release while the plan is still that, else as they would be.
     *
     * @return array{array<string, mixed>, ?int} steps, and the number of the release
     */
    public static function onPaper(Job $job, Plan $plan): array
    {
        $release = Release::newest($job);

        return $release !== null && $release->hash === self::hash($plan) && $release->cutting['done'] === []
            ? [$release->cutting, $release->number]
            : [(array) json_decode((string) json_encode(self::writer($job, $plan)->write()), true), null];
    }

    /** What writes down how a plan is sawn with the tools of its home. */
    public static function writer(Job $job, Plan $plan): CuttingWriter
    {
        return new CuttingWriter($plan, self::tools($job), self::saws($job)['window']);
    }

    private static function tools(Job $job): Tools
    {
        return SawChoices::read(self::saws($job));
    }

    /** @return array<string, mixed> */
    public static function saws(Job $job): array
    {
        return $job->home->sawsIn(LengthFormat::of($job->choices['measure'])->unit);
    }

    /** @throws ValidationException */
    private static function refuse(Plan $plan, bool $isAnyway): void
    {
        $clashes = $plan->clashes();
        $why = match (true) {
            $plan->pieces() === [] => 'There is nothing to cut yet: measure a space and furnish it first.',
            $plan->cut->unplaced() !== [] => sprintf('%s finds no sheet or board: give the job a larger one, or more of them, before you release.', $plan->cut->unplaced()[0]->name),
            $clashes !== [] && ! $isAnyway => sprintf('Something clashes still: %s', $clashes[0]->sentence),
            default => null,
        };
        if ($why !== null) {
            throw ValidationException::withMessages(['release' => $why]);
        }
    }

    /**
     * The plan of what is still to cut, and the parts of the pieces that are done.
     *
     * @param  list<Told>  $facts  of its job
     * @return array{Plan, array<string, string>}
     */
    public function goneOn(Plan $plan, Release $before, array $facts, bool $isThorough = true): array
    {
        // A piece that is cut counts while its size is still the one it was cut to, whichever release it was cut by.
        $cut = $lies = [];
        $measured = Ticks::measured($facts);
        foreach (Release::query()->where('job_id', $before->job_id)->oldest('number')->get() as $release) {
            $done = self::lying($release, $facts)->done();
            foreach ($done === [] ? [] : $release->cutting['pieces'] as $piece) {
                $id = $done[$piece['mark']] ?? null;
                if ($id !== null) {
                    $cut[$piece['mark']][$id] = ['length' => $piece['length']['nm'], 'width' => $piece['width']['nm']];
                    $part = $release->cutting['parts'][$id];
                    $lies[$id] = ['mark' => $piece['mark'], 'length' => $part['length']['nm'], 'width' => $part['width']['nm'], 'material' => $part['material'], 'thickness' => $part['thickness']];
                }
            }
        }
        $done = $left = [];
        foreach ($plan->pieces() as $piece) {
            $part = null;
            foreach ($cut[$piece->mark] ?? [] as $id => $planned) {
                $part = self::isAsCut($piece, $planned, $measured[$id] ?? []) ? $id : $part;
            }
            if ($part === null) {
                $left[] = $piece;
            } else {
                $done[$piece->mark] = $part;
            }
        }
        // What was cut for a piece that has another size now lies about like any other part.
        $rests = array_map(fn (array $rest) => new Stock(self::rest($rest['mark']), 1, Length::ofNanometres($rest['length']), Length::ofNanometres($rest['width']), Length::ofNanometres($rest['thickness']), $rest['material'], 0.0, true), [...self::lying($before, $facts)->rests(), ...array_values(array_diff_key($lies, array_flip($done)))]);
        $job = $plan->job->stocked([...$rests, ...$plan->job->stock]);
        $planned = $this->planner->cut($job, $left, isThorough: $isThorough);

        return [new Plan($job, $plan->spaces, $planned, $planned), $done];
    }

    /**
     * What lies about of a release, as far as is noted.
     *
     * @param  list<Told>  $facts  of its job
     */
    public static function lying(Release $release, array $facts): Lying
    {
        return new Lying($release->cutting, Ticks::cut($facts), Ticks::spoiled($facts));
    }

    /** How what lies about is called where pieces are cut from it. */
    public static function rest(string $mark): string
    {
        return "rest of $mark";
    }

    /**
     * Whether a piece that was cut is the one of the plan: it was cut to its size, or came out as the plan has it now.
     *
     * @param  array{length: int, width: int}  $planned  when it was cut, nm
     * @param  array<string, int>  $measured  as cut, where somebody measured
     */
    private static function isAsCut(Piece $piece, array $planned, array $measured): bool
    {
        foreach (['length', 'width'] as $dimension) {
            $is = $piece->size($dimension)->result->nanometres();
            [$least, $most] = AsCut::band(AsCut::sort($piece), $dimension, $is);
            $came = $measured[$dimension] ?? null;
            if ($planned[$dimension] !== $is && ($came === null || $came < $least || $came > $most)) {
                return false;
            }
        }

        return true;
    }

    /** By what a release is known to be of the plan as it stands: the pieces and their sizes. */
    private static function hash(Plan $plan): string
    {
        return hash('sha256', implode("\n", array_map(fn (Piece $piece) => implode('|', [$piece->mark, $piece->length->result->nanometres(), $piece->width->result->nanometres(), $piece->material->id]), $plan->pieces())));
    }
}
