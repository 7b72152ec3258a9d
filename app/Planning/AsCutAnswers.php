<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use App\Models\Release;
use Incastro\Cut\PlannedSheet;
use Incastro\Measure\Length;
use Incastro\Pieces\Piece;
use Incastro\Planning\AcceptedSize;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use Incastro\Saw\Ticks;

/**
 * What can be done with a piece that was cut to another size than was planned. Each answer was planned with before it is offered.
 *
 * @phpstan-import-type Told from JobFact
 */
final readonly class AsCutAnswers
{
    private const DIMENSIONS = ['length', 'width'];

    public function __construct(private JobAnswer $answer, private Planner $planner, private Cutting $cutting)
    {
    }

    /** @return list<array<string, mixed>> kinds `recut`, `accept` with the edit that it is, `elsewhere` with what then lies about */
    public function of(Job $job, Release $release, string $part): array
    {
        $told = array_column($release->cutting['pieces'], null, 'part')[$part] ?? abort(404, 'This part is no piece of the plan that was released.');
        $facts = JobFact::ofJob($job->id);
        $measured = array_intersect_key(Ticks::measured($facts)[$part] ?? [], array_flip(self::DIMENSIONS));
        $plan = $this->answer->plan($job);
        $piece = array_column(array_map(fn (Piece $piece) => [$piece->mark, $piece], $plan->pieces()), 1, 0)[$told['mark']] ?? null;
        if ($measured === [] || $piece === null) {
            return [];
        }
        $off = array_filter($measured, fn (int $nm, string $dimension) => $nm < $told['good'][$dimension][0] || $nm > $told['good'][$dimension][1], ARRAY_FILTER_USE_BOTH);

        return [
            ...array_values(array_filter(array_map(fn (string $dimension) => $this->recut($plan, $told, $dimension, $measured[$dimension]), array_keys($off)))),
            ...array_values(array_filter(array_map(fn (string $dimension) => $this->accept($plan, $release, $facts, $piece, $dimension, $measured[$dimension]), array_keys($measured)))),
            ...$off === [] ? [] : $this->elsewhere($plan, $release, $facts, $part, $told, $measured),
        ];
    }

    /**
     * @param  array<string, mixed>  $told
     * @return array<string, mixed>|null
     */
    private function recut(Plan $plan, array $told, string $dimension, int $measured): ?array
    {
        $off = $measured - $told[$dimension]['nm'];

        return $measured <= $told['good'][$dimension][1] ? null : ['kind' => 'recut', 'sentence' => sprintf('Take %s off its %s: set %s again.', $plan->job->format->finest()->write(Length::ofNanometres($off)), $dimension, $told[$dimension]['text']), 'changes' => []];
    }

    /**
     * @param  list<Told>  $facts
     * @return array<string, mixed>|null
     */
    private function accept(Plan $plan, Release $release, array $facts, Piece $piece, string $dimension, int $measured): ?array
    {
        if ($measured === $piece->size($dimension)->result->nanometres()) {
            return null;
        }
        foreach ($plan->spaces as $space) {
            if (! in_array($piece->key, array_map(fn (Piece $one) => $one->key, $space->pieces()), true)) {
                continue;
            }
            $cut = array_fill_keys(array_keys(Cutting::lying($release, $facts)->done()), true) + [$piece->mark => true];
            $accepted = (new AcceptedSize($this->planner, $plan->job, $space))->of($piece, $dimension, Length::ofNanometres($measured), $cut);

            return $accepted === null ? null : [
                'kind' => 'accept', 'sentence' => sprintf('Keep it at %s: %s.', $plan->job->format->finest()->write(Length::ofNanometres($measured)), $accepted['changes'] === [] ? 'nothing else changes' : sprintf('%d %s', count($accepted['changes']), count($accepted['changes']) === 1 ? 'other size follows' : 'other sizes follow')),
                'changes' => $accepted['changes'], 'space' => $space->space->id, 'edit' => $accepted['edit']->toArray(),
            ];
        }

        return null;
    }

    /**
     * The piece as something from which another is cut, and a new one from what there is.
     *
     * @param  list<Told>  $facts
     * @param  array<string, mixed>  $told
     * @param  array<string, int>  $measured
     * @return list<array<string, mixed>>
     */
    private function elsewhere(Plan $plan, Release $release, array $facts, string $part, array $told, array $measured): array
    {
        $lies = $release->cutting['parts'][$part] ?? null;
        if ($lies === null) {
            return [];
        }
        $sizes = [$measured['length'] ?? $told['length']['nm'], $measured['width'] ?? $told['width']['nm']];
        // A part is told along and across the sheet, a piece by its own length and width.
        $remains = $lies['length']['nm'] === $told['length']['nm'] ? $sizes : array_reverse($sizes);
        $spoiled = ['id' => '', 'kind' => Ticks::SPOILED, 'part' => $part, 'body' => ['remains' => [$remains]], 'withdraws' => [], 'device' => '', 'author' => '', 'at' => ''];
        [$now] = $this->cutting->goneOn($plan, $release, $facts, isThorough: false);
        [$then] = $this->cutting->goneOn($plan, $release, [...$facts, $spoiled], isThorough: false);
        $bought = fn (Plan $one): float => array_sum(array_map(fn (PlannedSheet $sheet) => $sheet->stock->price, $one->cut->sheets->sheets));
        $more = round($bought($then) - $bought($now), 2);
        $from = array_values(array_filter($then->cut->sheets->sheets, fn (PlannedSheet $sheet) => $sheet->stock->name === Cutting::rest($told['mark'])));
        $names = array_merge([], ...array_map(fn (PlannedSheet $sheet) => array_map(fn ($placed) => $placed->piece->name, $sheet->pieces), $from));
        $format = $plan->job->format;

        return [[
            'kind' => 'elsewhere',
            'sentence' => sprintf(
                '%s A new %s comes %s.',
                $names === [] ? 'Put it with the offcuts.' : sprintf('Cut %s from it.', implode(', ', $names)),
                $told['mark'],
                $more > 0.0 ? sprintf('from a sheet that is bought: %s %.2f more', $plan->job->currency, $more) : 'from what there is: nothing more is bought',
            ),
            'changes' => [], 'remains' => ['along' => $format->finest()->write(Length::ofNanometres($remains[0])), 'across' => $format->finest()->write(Length::ofNanometres($remains[1]))],
        ]];
    }
}
