<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Check\Verdict;
use Incastro\Cut\Axis;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedBoard;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Cut\Stock;
use Incastro\Fit\Marks;
use Incastro\Measure\Length;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Planning\Plan;
use Incastro\Rules\Rule;
use Incastro\Saw\AsCut;
use Incastro\Saw\CutClass;
use Incastro\Saw\Impossible;
use Incastro\Saw\NotSawable;
use Incastro\Saw\SawCut;
use Incastro\Saw\SawPlanner;
use Incastro\Saw\SawSteps;
use Incastro\Saw\Step;
use Incastro\Saw\StepWords;
use Incastro\Saw\Tools;

/**
 * A plan frozen for cutting: its parts, the steps of the saw with every word that is said at it, and the pieces. It is all that a device
 * needs to go on without a network: nothing in it is computed again.
 */
final readonly class CuttingWriter
{
    private StepWords $words;

    private LengthWriter $lengths;

    /** @param array<string, string> $done  parts of pieces that are cut already, by their mark */
    public function __construct(private Plan $plan, private Tools $tools, private int $window, private array $done = [])
    {
        $this->words = new StepWords($plan->job->format);
        $this->lengths = new LengthWriter($plan->job->format);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws NotSawable
     */
    public function write(): array
    {
        $sheets = $this->plan->cut->sheets->sheets;
        $boards = array_map($this->board(...), $this->plan->cut->boards->boards);
        $job = $this->plan->job;
        $end = $job->rules->get(Rule::BoardEnd);
        $fromSheets = (new SawPlanner($job->saw(), $this->tools, $job->format, $this->density(...)))->steps($sheets, $this->window);
        $fromBoards = (new SawPlanner(new SawSetup($job->rules->get(Rule::Kerf), $end, $end, Length::zero(), Length::zero()), $this->tools, $job->format, $this->density(...), 'L'))->steps($boards);
        $steps = [...array_map(fn (Step $step) => $this->step($step, $sheets, 'S'), $fromSheets->steps), ...array_map(fn (Step $step) => $this->step($step, $boards, 'L'), $fromBoards->steps)];

        return [
            'unit' => $job->format->unit->value,
            'steps' => $steps,
            'parts' => (object) ($this->parts($fromSheets, $sheets) + $this->parts($fromBoards, $boards)),
            'settings' => $fromSheets->settings + $fromBoards->settings,
            'proof' => self::proof($fromSheets),
            'minutes' => (int) round(array_sum(array_column($steps, 'minutes'))),
            'impossible' => array_map(fn (Impossible $one) => ['mark' => $one->takes->mark, 'because' => $one->because, 'ways_out' => $one->waysOut, 'pieces' => $one->pieces], [...$fromSheets->impossible, ...$fromBoards->impossible]),
            'pieces' => $this->pieces($fromSheets, $fromBoards),
            'done' => (object) $this->done,
        ];
    }

    /** Whether fewer settings could do, in words. */
    private static function proof(SawSteps $steps): string
    {
        $many = Verdict::count($steps->settings, 'setting');

        return match (true) {
            $steps->settings === 0 => 'Nothing is set.',
            $steps->isProven => "$many, proven fewest.",
            default => sprintf('%s; fewer than %d cannot be.', $many, $steps->fewest),
        };
    }

    /**
     * @param  list<PlannedSheet>  $from
     * @param  string  $letter  before the number of each
     * @return array<string, mixed>
     */
    private function step(Step $step, array $from, string $letter): array
    {
        $guideAt = $this->words->guideAt($step);

        return [
            // The same while its cuts are: ticks and places in the list are kept by it.
            'id' => $step->cuts[0]->frees->id,
            'class' => $step->class->label(), 'tool' => $step->way->tool()->label(),
            'verb' => $this->words->verb($step), 'number' => $this->lengths->exact($this->words->number($step)),
            'guide' => $guideAt === null || $step->class === CutClass::Straighten ? null : $this->lengths->exact($guideAt),
            'words' => $this->words->words($step), 'cautions' => $this->words->cautions($step), 'minutes' => round($this->words->minutes($step), 1),
            'clampings' => $step->clampings,
            'thickness' => implode(', ', array_unique(array_map(fn (SawCut $cut) => $this->plan->job->format->finest()->write($from[$cut->takes->sheet - 1]->stock->thickness), $step->cuts))),
            'sheets' => array_values(array_unique(array_map(fn (SawCut $cut) => $letter.$cut->takes->sheet, $step->cuts))),
            'cuts' => array_map(fn (SawCut $cut) => [
                'id' => $cut->frees->id, 'takes' => $cut->takes->id, 'blank' => $cut->blank, 'leaves' => $cut->leaves?->id, 'axis' => $cut->axis === Axis::X ? 'length' : 'width',
                'at' => $cut->at, 'kerf' => $cut->kerf, 'straightens' => $cut->isFactoryEdge,
            ], $step->cuts),
        ];
    }

    /**
     * @param  list<PlannedSheet>  $from
     * @return array<string, array<string, mixed>>
     */
    private function parts(SawSteps $steps, array $from): array
    {
        $parts = [];
        foreach ($steps->parts as $part) {
            $parts[$part->id] = [
                'mark' => $part->mark, 'piece' => $part->piece, 'from' => $part->from, 'sheet' => $part->sheet, 'fate' => $part->fate->value, 'kg' => round($part->kg, 1),
                'length' => $this->lengths->exact(Length::ofNanometres($part->x)), 'width' => $this->lengths->exact(Length::ofNanometres($part->y)),
                'material' => $from[$part->sheet - 1]->stock->material, 'thickness' => $from[$part->sheet - 1]->stock->thickness->nanometres(),
            ];
        }

        return $parts;
    }

    /** @return list<array<string, mixed>> every piece, with the part that becomes it */
    private function pieces(SawSteps ...$all): array
    {
        $partOf = [];
        foreach ($all as $steps) {
            foreach ($steps->parts as $part) {
                if ($part->piece !== null && ($part->fate->value === 'piece')) {
                    $partOf[$part->piece] = $part->id;
                }
            }
        }
        $pieces = [];
        foreach ($this->plan->spaces as $space) {
            foreach ($space->marked() as $piece) {
                $pieces[] = $this->piece($piece) + ['space' => $space->space->name, 'part' => $partOf[$piece->mark] ?? $this->done[$piece->mark] ?? null];
            }
        }

        return $pieces;
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        $sort = AsCut::sort($piece);

        return [
            'key' => $piece->key, 'mark' => $piece->mark, 'name' => $piece->name, 'unit' => Marks::unit($piece->mark), 'material' => $piece->material->name,
            'length' => $this->lengths->exact($piece->length->result), 'width' => $this->lengths->exact($piece->width->result), 'thickness' => $this->lengths->exact($piece->thickness),
            'grain' => $piece->grain->value, 'edges' => $piece->told($this->plan->job->format), 'sort' => $sort,
            // What is good, nm: a device compares with it where nobody can be asked.
            'good' => ['length' => AsCut::band($sort, 'length', $piece->length->result->nanometres()), 'width' => AsCut::band($sort, 'width', $piece->width->result->nanometres())],
        ];
    }

    /** A board by length is sawn like a sheet as wide as it is. */
    private function board(PlannedBoard $board): PlannedSheet
    {
        $lineal = $board->stock->material;
        $stock = new Stock($board->stock->name, 1, $board->stock->length, $lineal->width, $lineal->thickness, $lineal->id, $board->stock->price);

        return new PlannedSheet($stock, array_map(function (array $cut) use ($lineal): PlacedPiece {
            [$piece, $from, $along] = $cut;
            $across = $piece->grain === Grain::Width ? $piece->length : $piece->width;

            return new PlacedPiece($piece, new Rectangle($from->nanometres(), 0, $along->nanometres(), min($across->nanometres(), $lineal->width->nanometres())), $piece->grain === Grain::Width);
        }, $board->pieces), []);
    }

    private function density(string $material): float
    {
        return $this->plan->job->materials->find($material)->density ?? 680.0;
    }
}
