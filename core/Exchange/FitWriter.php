<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Check\Carried;
use Incastro\Check\Step;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SurfaceDrawing;
use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\FittedBay;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\StandsBeforeWall;
use Incastro\Fit\Holds\StandsBought;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Members\Around;
use Incastro\Fit\Members\Beside;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Members\Under;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Units\Unknown;

/** Writes the Fit station of a space as JSON: every run with its bays, cells, boxes, members and edges, and how all gets in. */
final readonly class FitWriter
{
    private LengthWriter $lengths;

    public function __construct(private SpacePlan $space, private LengthFormat $format, private HouseRules $rules)
    {
        $this->lengths = new LengthWriter($format);
    }

    /** @return array<string, mixed> */
    public function station(): array
    {
        $runs = $this->space->layout->runs ?? [];
        $room = $this->space->survey->room;
        $shape = $this->space->survey->sheet->shape;

        return [
            'ready' => $room !== null,
            'empty' => $runs === [],
            'runs' => array_map(fn (FittedRun $run, int $r) => $this->run($run) + [
                'drawing' => $room === null ? null : ScreenWriter::write((new RunDrawing($run, $this->space->assemblies[$r], $room->with($this->space->space->things), $this->format, $this->space->beside($r)))->elevation()),
            ], $runs, array_keys($runs)),
            'surfaces' => array_map($this->surface(...), $this->space->layout->surfaces ?? [], array_keys($this->space->layout->surfaces ?? [])),
            'carried' => array_map($this->carried(...), $this->space->carried),
            'decisions' => array_map($this->lengths->working(...), $this->space->decisions()),
            'findings' => array_map(LengthWriter::finding(...), $this->space->findings),
            'walls' => array_map(fn (int $wall) => ['wall' => $wall, 'name' => $shape->wallName($wall)], $shape->walls()),
            'sloped' => $shape->ceiling->isSloped(),
            'things' => array_map(fn ($thing) => ['id' => $thing->id, 'name' => $thing->name, 'wall' => $thing->wall, 'kind' => $thing->kind->value], $this->space->space->things),
        ];
    }

    /** @return array<string, mixed> */
    public function run(FittedRun $run): array
    {
        $shape = $this->space->survey->sheet->shape;

        return [
            'id' => $run->run->id, 'wall' => $run->frame->wall, 'name' => $shape->wallName($run->frame->wall),
            'span' => $this->lengths->mm($run->span->width), 'doubt' => $this->lengths->mm($run->span->doubt),
            'width' => $this->lengths->working($run->width), 'depth' => $this->lengths->working($run->depth),
            'from' => round($run->left, 1), 'to' => round($run->right, 1),
            'ends' => ['left' => $run->run->left->value, 'right' => $run->run->right->value], 'beside' => ['from' => $run->run->from, 'to' => $run->run->to],
            'open_sides' => array_values(array_filter(['left', 'right'], $run->frame->isOpen(...))),
            'end_choices' => array_map(fn (RunEnd $end) => ['value' => $end->value, 'label' => $end->label()], RunEnd::cases()),
            'bays' => array_map(fn (FittedBay $bay) => [
                'id' => $bay->bay->id, 'middle' => round(($bay->u + $bay->end) / 2), 'width' => $this->lengths->working($bay->width),
                'left' => $this->lengths->length($bay->left->result), 'right' => $this->lengths->length($bay->right->result), 'back' => $this->lengths->length($bay->back->result),
            ], $run->bays),
            'cells' => array_map(fn (FittedCell $cell) => [
                'id' => $cell->tier->id, 'bay' => $cell->bayId, 'box' => $cell->boxId, 'mark' => $this->mark($run, $cell),
                'holds' => $this->unit($cell->tier->holds, $cell->tier->holds instanceof Unknown ? $cell->tier->holds->kind : null),
                'front' => $cell->tier->front === null ? null : ['id' => $cell->tier->front->id, 'holds' => $this->unit($cell->tier->front->holds)],
                'options' => array_map(fn (Option $option) => ['id' => $option->id, 'holds' => $this->unit($option->holds)], $cell->tier->options),
                'boxed' => $cell->tier->isBoxed(),
                'spanned' => $cell->boxId !== null && $run->box($cell->boxId)?->isSpanned($cell->tier->id) === true,
                'bought' => $cell->boxId !== null && $run->box($cell->boxId)?->has(StandsBought::class) === true,
                'width' => $this->lengths->working($cell->width), 'height' => $this->lengths->working($cell->height),
            ], $run->cells),
            'boxes' => array_map($this->box(...), $run->boxes),
            'members' => $this->members($run),
            'plinths' => array_map(fn ($plinth) => ['id' => $plinth->id, 'mark' => $plinth->mark, 'length' => $this->lengths->working($plinth->length), 'depth' => $this->lengths->working($plinth->depth), 'height' => $this->lengths->length($plinth->height)], $run->under()),
            'worktops' => array_map(fn ($worktop) => ['id' => $worktop->id, 'mark' => $worktop->mark, 'length' => $this->lengths->working($worktop->length), 'depth' => $this->lengths->working($worktop->depth), 'height' => $this->lengths->mm($worktop->z)], $run->over()),
            'edges' => array_map($this->edge(...), array_values($run->edges)),
        ];
    }

    /** What is written on the wood of a cell's box, or of what stands in it without one; null where nothing does. */
    private function mark(FittedRun $run, FittedCell $cell): ?string
    {
        if ($cell->boxId !== null) {
            return $run->box($cell->boxId)?->mark;
        }
        foreach ($this->space->assemblies as $assembly) {
            $mark ??= $assembly->markOf($cell->tier->id);
        }

        return $mark ?? null;
    }

    /** @return list<array<string, mixed>> what spans cells of a run: the unit, and where it lies each row that is made of it */
    private function members(FittedRun $run): array
    {
        $cells = array_merge(array_map(fn (FittedBay $bay) => $bay->bay->id, $run->bays), array_map(fn (FittedCell $cell) => $cell->tier->id, $run->cells));
        $made = [...array_map(fn (Under|Over|Around $one) => [$one->id, $one->mark, $one->length], [...$run->under(), ...$run->over(), ...$run->around()]), ...array_map(fn (Beside $one) => [$one->id, $one->mark, $one->height], $run->beside())];

        return array_values(array_map(fn (Member $member) => [
            'id' => $member->id, 'cells' => $member->cells, 'holds' => $this->unit($member->holds), 'form' => $member->holds->form()->value,
            'rows' => array_values(array_map(fn (array $one) => ['mark' => $one[1], 'length' => $this->lengths->working($one[2])], array_filter($made, fn (array $one) => $one[0] === $member->id || str_starts_with($one[0], "$member->id/")))),
        ], array_filter($this->space->space->layout->members, fn (Member $member) => array_intersect($member->cells, $cells) !== [])));
    }

    /** @return array<string, mixed> what lies on a wall */
    private function surface(FittedSurface $surface, int $s): array
    {
        $built = $this->space->onWall($s);

        return [
            'id' => $surface->surface->id, 'mark' => $surface->mark, 'wall' => $surface->surface->wall, 'name' => $this->space->survey->sheet->shape->wallName($surface->surface->wall),
            'holds' => $this->unit($surface->surface->holds), 'stands' => $surface->surface->holds instanceof StandsBeforeWall, 'carries' => $surface->surface->holds instanceof StandsBeforeWall && $surface->surface->holds->carries(), 'on' => $surface->host?->mark,
            'width' => $this->lengths->working($surface->width), 'height' => $this->lengths->working($surface->height),
            'drawing' => ScreenWriter::write((new SurfaceDrawing($this->format))->of($surface, $built)),
        ];
    }

    /** @return array{kind: string, label: string, with: array<string, array{value: mixed, text: string, usual: bool}>} */
    private function unit(object $holds, ?string $kind = null): array
    {
        $blueprint = Blueprint::of($holds::class);

        return ['kind' => $kind ?? $blueprint->about->kind, 'label' => $blueprint->about->label, 'with' => $blueprint->shown($holds, $this->rules, $this->format)];
    }

    /** @return array<string, mixed> */
    private function box(Box $box): array
    {
        return [
            'id' => $box->id, 'mark' => $box->mark,
            'width' => $this->lengths->working($box->width), 'height' => $this->lengths->working($box->height), 'depth' => $this->lengths->working($box->depth),
            'angle' => $box->top->isRaked() || $box->top->isSloped() ? round(rad2deg($box->top->angle($box->outerWidth()->toDouble())), 1) : null,
        ];
    }

    /** @return array<string, mixed> */
    private function edge(FittedEdge $edge): array
    {
        return [
            'edge' => $edge->key(), 'side' => $edge->side->value, 'owner' => $edge->owner, 'label' => $edge->label,
            'least' => $this->lengths->mm($edge->gap->least), 'most' => $this->lengths->mm($edge->gap->most),
            'gap' => $this->format->writeRange(Length::ofDouble($edge->gap->least), Length::ofDouble($edge->gap->most)),
            'closing' => $edge->closing->value, 'closing_label' => $edge->closing->label(),
            'wish' => $edge->wish?->value, 'chosen' => $edge->side->isChosen() && $this->isOfBox($edge), 'reason' => $edge->reason,
            'choices' => $edge->side->isChosen() ? array_map(fn (Closing $closing) => ['value' => $closing->value, 'label' => $closing->label()], Closing::cases()) : [],
            'offsets' => $edge->offsets === null ? null : [
                'wall' => $edge->offsets->wall, 'level' => $edge->offsets->isLevel,
                'depth' => $edge->offsets->depth === null ? null : $this->lengths->mm($edge->offsets->depth), 'along' => $this->lengths->mm($edge->offsets->along), 'height' => $this->lengths->mm($edge->offsets->height),
            ],
            'scribed' => $edge->scribe !== null,
        ];
    }

    private function isOfBox(FittedEdge $edge): bool
    {
        foreach ($this->space->layout?->boxes() ?? [] as $box) {
            if ($box->id === $edge->owner) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    private function carried(Carried $carried): array
    {
        return [
            'id' => $carried->id, 'mark' => $carried->mark, 'what' => $carried->what, 'goes' => $carried->failing() === null,
            'steps' => array_map(fn (Step $step) => ['words' => $step->words, 'goes' => $step->goes(), 'spare' => is_finite($step->spare) ? $this->lengths->mm($step->spare) : null], $carried->steps),
        ];
    }
}
