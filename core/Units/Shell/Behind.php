<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Holds\HangsOnWall;
use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Schools\BoxBack;

/**
 * Where the back of a box is, by the job's school: how far its sides, its bottom and top, and all inside it keep off its rear.
 * A back between the boards or in rabbets needs a top that is square to it: else it is laid on.
 */
final readonly class Behind
{
    public BoxBack $school;

    public Length $sides;

    public Length $levels;

    public Length $inner;

    /** How far the back is let in between the sides. */
    public Length $letIn;

    public function __construct(private Box $box, private Terms $terms)
    {
        $wished = $box->has(LeavesBackOut::class) ? BoxBack::None : $terms->rules->schools->back;
        $none = Length::zero();
        $isLevel = ! $box->top->isSloped() && ! $box->top->isRaked();
        $this->letIn = $isLevel ? $box->option(HangsOnWall::class)?->letsIn($terms->materials) ?? $none : $none;
        $this->school = match ($wished) {
            BoxBack::Rabbeted => $box->top->isSloped() || $this->isLetIn() ? BoxBack::LaidOn : $wished,
            BoxBack::Inset => $box->top->isSloped() || $box->top->isRaked() ? BoxBack::LaidOn : $wished,
            default => $wished,
        };
        $thin = $terms->materials->back->thickness;
        // What the box hangs on lies between its sides: its back, and all before it, stand so much forward.
        [$sides, $levels, $inner] = match ($this->school) {
            BoxBack::LaidOn => [$thin, $thin, $thin],
            BoxBack::Rabbeted => [$none, $thin, $thin],
            BoxBack::Inset => [$none, $none, $terms->materials->carcass->thickness],
            BoxBack::None => [$none, $none, $none],
        };
        [$this->sides, $this->levels, $this->inner] = $this->isLetIn() ? [$none, $levels->plus($this->letIn), $inner->plus($this->letIn)] : [$sides, $levels, $inner];
    }

    public function isLetIn(): bool
    {
        return ! $this->letIn->isZero();
    }

    /** Depth of boards that keep so far off the rear: the face frame stands before them. */
    public function depth(Length $kept): Working
    {
        $depth = Working::start('depth of the box', $this->box->outerDepth());
        $depth = $this->terms->frame()->isZero() ? $depth : $depth->minus('face frame', $this->terms->frame());

        return $kept->isZero() ? $depth : $depth->minus(match (true) {
            $this->isLetIn() => 'back, let in for its cleats',
            $this->school === BoxBack::Inset => 'back between the boards',
            $this->school === BoxBack::Rabbeted => 'back in its rabbets',
            default => 'laid-on back',
        }, $kept);
    }
}
