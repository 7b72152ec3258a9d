<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Check\Carried;
use Incastro\Check\Verdict;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Unplaced;
use Incastro\Drawing\BoardDrawing;
use Incastro\Drawing\DrillingStrips;
use Incastro\Drawing\PieceDrawing;
use Incastro\Drawing\PlanDrawing;
use Incastro\Drawing\ReadingText;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SheetDrawing;
use Incastro\Drawing\WallDrawing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Marks;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\SawSetting;
use Incastro\Planning\CuttingChoices;
use Incastro\Planning\Plan;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\TakenPlace;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\TakenAt;
use Incastro\Survey\Things\Asked;
use Incastro\Survey\Things\Thing;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\SizeUse;

/**
 * Writes a plan as JSON, one part a station. A length is {"nm", "text"}, its text in the job's unit and fraction.
 */
final readonly class PlanWriter
{
    private LengthWriter $lengths;

    public function __construct(private Plan $plan)
    {
        $this->lengths = new LengthWriter($plan->job->format);
    }

    /**
     * All of it: what `job:plan` prints.
     *
     * @return array<string, mixed>
     */
    public function all(): array
    {
        return [
            'name' => $this->plan->job->name,
            'verdict' => $this->verdict(),
            'spaces' => array_map(fn (SpacePlan $space) => [
                'id' => $space->space->id,
                'name' => $space->space->name,
                'verdict' => self::verdictOf($space->verdict),
                'readings' => $this->readings($space),
                'runs' => array_map((new FitWriter($space, $this->plan->job->format, $this->plan->job->rules))->run(...), $space->layout->runs ?? []),
                'going_in' => array_map(fn (Carried $carried) => ['mark' => $carried->mark, 'what' => $carried->what, 'goes' => $carried->failing() === null, 'fails' => $carried->failing()?->words], $space->carried),
                'pieces' => $this->placed($space),
                'hardware' => $this->hardware($space->hardware()),
                'joints' => (new SolidWriter($space))->joints(),
                'movements' => (new SolidWriter($space))->movements(),
                'measures' => $this->measures($space),
                'decisions' => array_map((new LengthWriter($this->plan->job->format))->working(...), $space->decisions()),
                'walls' => $space->survey->room === null ? [] : (new SolidWriter($space))->walls($space->survey->room),
                'ceiling' => $space->survey->room === null ? [] : (new SolidWriter($space))->ceiling($space->survey->room),
                'findings' => array_map(LengthWriter::finding(...), $space->findings),
            ], $this->plan->spaces),
            'sheets' => SheetPlanWriter::write($this->plan->cut->sheets, $this->plan->job->saw()),
            'boards' => SheetPlanWriter::boards($this->plan->cut->boards),
        ];
    }

    /** @return list<array<string, mixed>> every piece with whose it is and the solid that it fills */
    private function placed(SpacePlan $space): array
    {
        $writer = new SolidWriter($space);
        $pieces = [];
        foreach ([...$space->layout->runs ?? [], ...$space->layout->surfaces ?? []] as $i => $stands) {
            foreach ($space->made()[$i]->placed as $placed) {
                $pieces[] = $this->piece($placed->piece) + ['owner' => $placed->owner, 'marks' => array_map($this->mark(...), $placed->piece->marks), 'solid' => $writer->solid($stands->frame, $placed)];
            }
        }

        return $pieces;
    }

    /**
     * The worst verdict of all spaces.
     *
     * @return array{state: string, sentence: string}
     */
    public function verdict(): array
    {
        $order = ['clash', 'warning', 'waiting', 'fits'];
        $verdicts = array_map(fn (SpacePlan $space) => $space->verdict, $this->plan->spaces);
        usort($verdicts, fn (Verdict $a, Verdict $b) => array_search($a->state, $order, true) <=> array_search($b->state, $order, true));

        return $verdicts === [] ? ['state' => 'waiting', 'sentence' => 'No space yet.'] : self::verdictOf($verdicts[0]);
    }

    /**
     * One living fact for each station.
     *
     * @return array<string, string>
     */
    public function tape(): array
    {
        $toGo = array_sum(array_map(fn (SpacePlan $space) => $space->survey->toGo(), $this->plan->spaces));
        $taken = array_sum(array_map(fn (SpacePlan $space) => count($space->survey->readings), $this->plan->spaces));
        $clashes = count($this->plan->clashes());
        $edges = array_sum(array_map(fn (SpacePlan $space) => count(array_filter($space->layout?->edges() ?? [], fn (FittedEdge $edge) => $edge->scribe !== null)), $this->plan->spaces));
        $pieces = count($this->plan->pieces());
        $cut = array_filter([
            Verdict::count(count($this->plan->cut->sheets->sheets), 'sheet') => count($this->plan->cut->sheets->sheets),
            Verdict::count(count($this->plan->cut->boards->boards), 'board') => count($this->plan->cut->boards->boards),
        ]);
        $disagree = array_filter($this->plan->spaces, fn (SpacePlan $space) => $space->survey->disagrees()) !== [];

        return [
            'measure' => match (true) {
                $toGo > 0 => Verdict::count($toGo, 'reading').' to go',
                $disagree => 'readings disagree',
                default => Verdict::count($taken, 'reading').', all agree',
            },
            'fit' => match (true) {
                $pieces === 0 => array_filter($this->plan->spaces, fn (SpacePlan $space) => $space->survey->room === null) === [] ? 'choose a layout' : 'waits for readings',
                $clashes > 0 => $clashes === 1 ? '1 clash' : "$clashes clashes",
                $edges === 0 => 'fits',
                default => Verdict::count($edges, 'edge').' to scribe',
            },
            'pieces' => $pieces === 0 ? 'none yet' : Verdict::count($pieces, 'piece'),
            'sheets' => $cut === [] ? 'none yet' : implode(', ', array_keys($cut)),
        ];
    }

    /** @return array<string, mixed> */
    public function measure(SpacePlan $space): array
    {
        return [
            'readings' => $this->readings($space),
            'sure' => $space->survey->isSure(),
            'to_go' => $space->survey->toGo(),
            'sentences' => (new RoomWords($space->survey, $this->plan->job->format))->sentences(),
            'findings' => array_map(LengthWriter::finding(...), $space->survey->findings),
            'shape' => $this->shape($space),
            'things' => array_map(fn (Thing $thing) => ['id' => $thing->id, 'label' => $thing->kind->label(), 'rule' => $thing->rule->label()], $space->space->things),
            'drawings' => $this->drawings($space->survey),
            'asks' => array_map(fn (Asked $one) => $one->value, $space->space->layout->asks()),
            'walls' => array_map(fn (int $wall) => ['wall' => $wall, 'made_of' => ($space->space->walls[$wall] ?? null)?->value], array_values($space->survey->sheet->shape->walls())),
        ];
    }

    /** @return array<string, mixed> what a person says of the space's shape, in words */
    private function shape(SpacePlan $space): array
    {
        $shape = $space->survey->sheet->shape;
        $room = $space->survey->room;

        return [
            'kind' => $shape->kind->value,
            'corners' => array_map(fn (int $corner) => [
                'name' => SpaceShape::name($corner),
                'sigma' => $room === null ? null : $this->lengths->mm($room->cornerSigma($corner)),
                'outside' => in_array($corner, $shape->outside, true),
            ], array_keys($shape->edges)),
            'edges' => array_map(fn (int $edge) => ['name' => $shape->edgeName($edge), 'label' => ucfirst($shape->isWall($edge) ? $shape->wallName($edge) : $shape->edges[$edge]->label().' '.$shape->edgeName($edge)), 'kind' => $shape->edges[$edge]->value, 'length' => $room === null ? null : $this->lengths->mm($room->edgeLength($edge))], array_keys($shape->edges)),
            'planes' => $shape->ceiling->planes(),
            'plan_height' => $this->lengths->mm($space->survey->sheet->places()->planHeight()),
        ];
    }

    /**
     * The plan, and every wall as one faces it.
     *
     * @return array{plan: array<string, mixed>|null, walls: list<array{wall: int, drawing: array<string, mixed>}>}
     */
    private function drawings(Survey $survey): array
    {
        $room = $survey->room ?? $survey->draft;
        if ($room === null) {
            return ['plan' => null, 'walls' => []];
        }
        $texts = new ReadingText($survey, $this->plan->job->format);

        return [
            'plan' => ScreenWriter::write((new PlanDrawing($survey, $room, $texts))->draw()),
            'walls' => array_map(fn (int $wall) => [
                'wall' => $wall, 'drawing' => ScreenWriter::write((new WallDrawing($survey, $room, $wall, $texts, $this->plan->job->format))->draw()),
            ], $room->shape->walls()),
        ];
    }

    /** @return array<string, mixed> */
    public function fit(SpacePlan $space): array
    {
        return (new FitWriter($space, $this->plan->job->format, $this->plan->job->rules))->station();
    }

    /** @return array<string, mixed> */
    public function pieces(): array
    {
        return [
            'spaces' => array_map(fn (SpacePlan $space) => [
                'id' => $space->space->id,
                'name' => $space->space->name,
                'pieces' => array_map(fn (Piece $piece) => $this->piece($piece) + ['unit' => Marks::unit($piece->mark), 'drawing' => ScreenWriter::write(PieceDrawing::of($piece))], $space->marked()),
            ], $this->plan->spaces),
            'hardware' => $this->hardware(Hardware::counted(array_merge([], ...array_map(fn (SpacePlan $space) => $space->hardware(), $this->plan->spaces)))),
        ];
    }

    /** @return array<string, mixed> */
    public function sheets(): array
    {
        $sheets = $this->plan->cut->sheets;
        $drawing = new SheetDrawing($this->plan->job->saw(), $this->plan->job->format);
        $shopping = new ShoppingList($this->plan);

        return [
            'buy' => $shopping->lines(),
            'price' => round($this->plan->cut->price(), 2),
            'sheet_price' => round($sheets->price, 2),
            'board_price' => $this->plan->cut->boards->price(),
            'board_bound' => $this->plan->cut->boards->boundPrice,
            'currency' => $this->plan->job->currency,
            'fewest' => $sheets->isFewest(),
            'bound' => ['sheets' => $sheets->boundSheets, 'price' => $sheets->boundPrice, 'because' => $sheets->because],
            'settings' => $sheets->settings,
            'unplaced' => array_map(fn (Unplaced $unplaced) => sprintf('%s: %s.', $unplaced->name, $unplaced->isShort ? $unplaced->reason.'; more of them stand in the list' : $unplaced->reason), $this->plan->cut->unplaced()),
            'sheets' => array_map(fn (PlannedSheet $sheet, int $i) => [
                'title' => sprintf('Sheet %d · %s · %s', $i + 1, $shopping->materialName($sheet->stock), $sheet->stock->name),
                'used' => (int) round(100 * $sheet->yield()),
                'lock' => $lock = $sheet->stock->isSawn ? null : CuttingChoices::lock($sheet),
                'locked' => $lock !== null && in_array(CuttingChoices::sheet($lock), $this->plan->job->sheets->locked, false),
                'drawing' => ScreenWriter::write($drawing->of($sheet, $i + 1)),
            ], $sheets->sheets, array_keys($sheets->sheets)),
            'boards' => array_map(fn (array $boards) => [
                'title' => sprintf('%s · %s', $boards[0]->stock->material->name, Verdict::count(count($boards), 'board')),
                'drawing' => ScreenWriter::write((new BoardDrawing($this->plan->job->format))->of($boards[0]->stock->material->name, $boards)),
            ], $this->plan->cut->boards->byMaterial()),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function readings(SpacePlan $space): array
    {
        $asked = array_values(array_filter($space->survey->slots, fn (Slot $slot) => $slot->kind === ReadingKind::Diagonal))[0]->id ?? null;

        return array_map(function (Slot $slot) use ($space, $asked): array {
            $reading = $space->survey->readings[$slot->id] ?? null;
            // What was taken stands where it was taken, and is taken again there.
            $slot = $reading->slot ?? $slot;

            return [
                'place' => (object) TakenPlace::write(TakenAt::of($slot)),
                'slot' => $slot->id, 'kind' => $slot->kind->value, 'label' => $slot->label, 'how' => $slot->how,
                'tool' => $slot->tool->label(), 'group' => $slot->group,
                // Of the diagonals and corners one is needed: until then the first is asked for.
                'required' => $slot->required || ($slot->id === $asked && $space->survey->asksForDiagonal()), 'ends' => $slot->ends,
                'added' => str_starts_with($slot->id, 'x-'), 'is_angle' => $slot->kind->isAngle(), 'may_be_zero' => $slot->kind->mayBeZero(),
                'height' => $slot->height === null ? null : $this->lengths->mm($slot->height),
                'depth' => $slot->depth === null ? null : $this->lengths->mm($slot->depth),
                'span' => $slot->span === null ? null : $this->lengths->mm($slot->span),
                'takes' => array_map(fn (Take $take) => $this->take($take) + ['struck' => in_array($take->id, $space->survey->struck, true)], $space->survey->takesOf($slot->id)),
                'withdrawn' => array_values(array_map($this->take(...), array_filter($space->space->withdrawn, fn (Take $take) => $take->slot === $slot->id))),
            ];
        }, $space->survey->slots);
    }

    /** @return array<string, mixed> */
    private function take(Take $take): array
    {
        return [
            'id' => $take->id, 'typed' => $take->typed, 'end' => $take->end, 'taken_at' => $take->takenAt,
            'value' => $take->value instanceof Length ? $this->lengths->length($take->value) : ['nm' => null, 'text' => $take->value->write()],
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        return [
            'key' => $piece->key, 'mark' => $piece->mark, 'name' => $piece->name,
            'length' => $this->lengths->working($piece->length), 'width' => $this->lengths->working($piece->width),
            'thickness' => $this->lengths->exact($piece->thickness),
            'material' => $piece->material->id, 'material_name' => $piece->material->name,
            'grain' => $piece->grain->value, 'likeness' => $piece->likeness()->key(),
            'edges' => $piece->told($this->plan->job->format),
            'saw' => array_map(fn (SawSetting $setting) => ['edge' => $setting->edge(), 'cut' => $setting->cut()->value, 'degrees' => round($setting->degrees(), 2)], $piece->sawSettings()),
            'joints' => $piece->joints, 'marked' => $piece->markings($this->plan->job->format), 'shaped' => $piece->isShaped(), 'drilled' => (new DrillingStrips($piece, $this->plan->job->format))->isAny(),
            'outline' => array_map(fn (Point $point) => [round($point->x, 3), round($point->y, 3)], $piece->outline->outer->points),
            'holes' => array_map(fn (Polygon $hole) => array_map(fn (Point $point) => [round($point->x, 3), round($point->y, 3)], $hole->points), $piece->outline->holes),
        ];
    }

    /** @return list<array<string, mixed>> what sizes are good for: a constant and sizes of pieces, each times its factor, between limits */
    private function measures(SpacePlan $space): array
    {
        return array_map(fn (SizeUse $use) => [
            'name' => $use->name, 'place' => $use->place, 'constant_mm' => round($use->constant, 3), 'sizes' => $use->factors,
            'least_mm' => round($use->least, 3), 'most_mm' => round($use->most, 3), 'beyond' => $use->sentence,
        ], array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->uses, $space->assemblies)));
    }

    /** @return array<string, mixed> in the piece's own x and y, mm; `up` is the face that its outline is seen from */
    private function mark(Mark $mark): array
    {
        return [
            'kind' => $mark->kind->value, 'face' => $mark->isUp ? 'up' : 'down', 'for' => $mark->partner,
            'at' => array_map(fn (Point $point) => [round($point->x, 3), round($point->y, 3)], $mark->at),
            'across_mm' => round($mark->across, 3), 'depth_mm' => $mark->depth === null ? null : round($mark->depth, 3),
        ];
    }

    /**
     * @param  list<Hardware>  $items
     * @return list<array{name: string, quantity: int, use: string}>
     */
    private function hardware(array $items): array
    {
        return array_map(fn (Hardware $item) => ['name' => $item->name, 'quantity' => $item->quantity, 'use' => $item->use], $items);
    }

    /** @return array{state: string, sentence: string} */
    private static function verdictOf(Verdict $verdict): array
    {
        return ['state' => $verdict->state, 'sentence' => $verdict->sentence];
    }

}
