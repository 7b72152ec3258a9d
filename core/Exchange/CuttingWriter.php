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
use Incastro\Saw\Fate;
use Incastro\Saw\Forest;
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

    /**
     * @param  array<string, string>  $done  parts of pieces that are cut already, by their mark
     * @param  array<string, string>  $codes  of labels, by the mark of the piece
     * @param  int  $release  its number
     */
    public function __construct(private Plan $plan, private Tools $tools, private int $window, private array $done = [], private array $codes = [], private int $release = 1)
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
        $fromSheets = $this->fromSheets($sheets);
        $fromBoards = (new SawPlanner(new SawSetup($job->rules->get(Rule::Kerf), $end, $end, Length::zero(), Length::zero()), $this->tools, $job->format, $this->density(...), 'L', (string) $this->release))->steps($boards);
        $partOf = self::partsOf($fromSheets, $fromBoards) + $this->done;
        $steps = [...array_map(fn (Step $step) => $this->step($step, $sheets, 'S'), $fromSheets->steps), ...array_map(fn (Step $step) => $this->step($step, $boards, 'L'), $fromBoards->steps), ...$this->shaping($partOf)];

        return [
            'unit' => $job->format->unit->value,
            'steps' => $steps,
            'parts' => (object) ($this->parts($fromSheets, $sheets) + $this->parts($fromBoards, $boards)),
            'settings' => $fromSheets->settings + $fromBoards->settings,
            'proof' => $this->proof($fromSheets, count($sheets)),
            'minutes' => (int) round(array_sum(array_column($steps, 'minutes'))),
            'impossible' => array_map(fn (Impossible $one) => ['mark' => $one->takes->mark, 'because' => $one->because, 'ways_out' => $one->waysOut, 'pieces' => $one->pieces], [...$fromSheets->impossible, ...$fromBoards->impossible]),
            'pieces' => $this->pieces($partOf),
            'done' => (object) $this->done,
        ];
    }

    /**
     * How sheets are sawn with the home's tools.
     *
     * @param  list<PlannedSheet>  $sheets
     *
     * @throws NotSawable
     */
    public function fromSheets(array $sheets): SawSteps
    {
        $job = $this->plan->job;

        return (new SawPlanner($job->saw(), $this->tools, $job->format, $this->density(...), 'S', (string) $this->release))->steps($sheets, $this->window);
    }

    /** Whether fewer settings could do, in words. */
    private function proof(SawSteps $steps, int $sheets): string
    {
        $many = Verdict::count($steps->settings, 'setting');
        $open = $this->window < $sheets ? sprintf(' with %s open at a time', Verdict::count($this->window, 'sheet')) : '';
        $all = $steps->allOpen < $steps->settings ? sprintf(' %d if all %d lie open.', $steps->allOpen, $sheets) : '';

        return match (true) {
            $steps->settings === 0 => 'Nothing is set.',
            $steps->isProven => "$many, proven fewest$open.$all",
            default => sprintf('%s%s; fewer than %d cannot be.%s', $many, $open, $steps->fewest, $all),
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
            'verb' => $this->words->verb($step), 'number' => $step->class === CutClass::Yard ? ['nm' => 0, 'text' => Verdict::count(count($step->cuts), 'part')] : $this->lengths->exact($this->words->number($step)),
            'guide' => $guideAt === null || $step->class === CutClass::Straighten ? null : $this->lengths->exact($guideAt),
            'words' => $this->words->words($step), 'cautions' => $this->words->cautions($step), 'minutes' => round($this->words->minutes($step), 1),
            'clampings' => $step->clampings, 'way' => $step->way->value, 'set_off' => $step->setOff,
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

    /** @return array<string, string> the part that becomes each piece, by the piece's mark */
    private static function partsOf(SawSteps ...$all): array
    {
        $partOf = [];
        foreach ($all as $steps) {
            foreach ($steps->parts as $part) {
                if ($part->piece !== null && $part->fate === Fate::Piece) {
                    $partOf[$part->piece] = $part->id;
                }
            }
        }

        return $partOf;
    }

    /**
     * What is done to pieces that are cut to size: bevels and mitres by their angle, then what follows a line of its own.
     *
     * @param  array<string, string>  $partOf
     * @return list<array<string, mixed>>
     */
    private function shaping(array $partOf): array
    {
        $angles = $lines = [];
        foreach ($this->plan->pieces() as $piece) {
            $part = $partOf[$piece->mark] ?? null;
            if ($part === null || isset($this->done[$piece->mark])) {
                continue;
            }
            $settings = $piece->sawSettings();
            foreach ($settings as $setting) {
                $angles[$setting->cut()->value][sprintf('%.1f', $setting->degrees())][] = self::shaped($part, "$piece->mark ({$setting->edge()})");
            }
            if ($settings === [] && $piece->isShaped()) {
                $lines[] = self::shaped($part, $piece->mark);
            }
        }
        $steps = [];
        foreach ($angles as $cut => $byDegrees) {
            foreach ($byDegrees as $degrees => $cuts) {
                $steps[] = self::shapingStep($cut === 'bevel' ? 'Tilt the blade to' : 'Set off square', "{$degrees}°", $cut === 'bevel'
                    ? 'Sizes are to the long point: the long side lies up. Keep clear of the side to which the blade leans, and cut a trial first.'
                    : 'Across the face, as the drawing of the piece has it. Cut a trial first.', $cuts);
            }
        }
        if ($lines !== []) {
            $steps[] = self::shapingStep('Cut to the line', Verdict::count(count($lines), 'piece'), 'Each has a template or a scribe line of its own, at Fit and with its piece. Clamp it, and keep to the waste side of the line.', $lines);
        }

        return $steps;
    }

    /** @return array<string, mixed> */
    private static function shaped(string $part, string $label): array
    {
        return ['id' => Forest::id('shape', $part, $label), 'takes' => $part, 'blank' => $part, 'leaves' => null, 'axis' => 'length', 'at' => 0, 'kerf' => 0, 'straightens' => false, 'label' => $label];
    }

    /**
     * @param  non-empty-list<array<string, mixed>>  $cuts
     * @return array<string, mixed>
     */
    private static function shapingStep(string $verb, string $number, string $words, array $cuts): array
    {
        return [
            'id' => $cuts[0]['id'], 'class' => 'shape', 'tool' => 'shaping', 'verb' => $verb, 'number' => ['nm' => 0, 'text' => $number], 'guide' => null,
            'words' => $words, 'cautions' => [], 'minutes' => 10.0 * count($cuts), 'clampings' => 0, 'thickness' => '', 'sheets' => [], 'cuts' => $cuts,
        ];
    }

    /**
     * Every piece, with the part that becomes it.
     *
     * @param  array<string, string>  $partOf
     * @return list<array<string, mixed>>
     */
    private function pieces(array $partOf): array
    {
        $pieces = [];
        foreach ($this->plan->spaces as $space) {
            foreach ($space->marked() as $piece) {
                $pieces[] = $this->piece($piece) + ['space' => $space->space->name, 'part' => $partOf[$piece->mark] ?? null, 'code' => $this->codes[$piece->mark] ?? null];
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
            'uses' => ['length' => $this->uses($piece, 'length'), 'width' => $this->uses($piece, 'width')],
            'good' => ['length' => AsCut::band($sort, 'length', $piece->length->result->nanometres()), 'width' => AsCut::band($sort, 'width', $piece->width->result->nanometres())],
        ];
    }

    /** @return list<array{least: int, most: int, sentence: string}> what a size is good for, and between which sizes, nm */
    private function uses(Piece $piece, string $dimension): array
    {
        $uses = [];
        foreach ($this->plan->spaces as $space) {
            $pieces = null;
            foreach ($space->assemblies as $assembly) {
                foreach ($assembly->uses as $use) {
                    $factor = $use->factors["$piece->key.$dimension"] ?? 0.0;
                    if ($factor === 0.0) {
                        continue;
                    }
                    $pieces ??= array_column(array_map(fn (Piece $one) => ['key' => $one->key, 'piece' => $one], $space->pieces()), 'piece', 'key');
                    $value = $use->value($pieces);
                    if ($value !== null) {
                        [$least, $most] = AsCut::limits($piece->size($dimension)->result->nanometres(), $value, $factor, $use->least, $use->most);
                        $uses[] = ['least' => $least, 'most' => $most, 'sentence' => $use->sentence];
                    }
                }
            }
        }

        return $uses;
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
