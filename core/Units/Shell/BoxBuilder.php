<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\FrontUnit;
use Incastro\Units\InsideUnit;
use Incastro\Units\Make\HingePlaces;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Sites\Numbers;
use Incastro\Units\Sites\OpeningSite;

/**
 * A box of one cell or several: its shell, a board between each two tiers, what stands in every opening, a back
 * and solid nailers top and bottom (handbook, "Units and their sums").
 */
final readonly class BoxBuilder
{
    private Workshop $make;

    private Behind $behind;

    private BoxShell $shell;

    private Nailers $nailers;

    public function __construct(private Box $box, private Terms $terms)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->behind = new Behind($box, $terms);
        $this->shell = new BoxShell($box, $terms, $this->behind);
        $this->nailers = new Nailers($box, $terms, $this->behind);
    }

    public function build(): Assembly
    {
        $assemblies = [$this->shell->build()];
        $numbers = new Numbers();
        $changes = [];
        foreach ($this->box->columns as $c => $column) {
            foreach ($column->openings as $i => $opening) {
                $site = new OpeningSite($this->box, $c, $opening, $this->terms, $this->shell, $this->nailers, $this->behind, $numbers);
                $assemblies[] = $inside = $opening->holds instanceof InsideUnit ? $opening->holds->build($site) : new Assembly([]);
                if ($opening->front?->holds instanceof FrontUnit) {
                    $assemblies[] = HingePlaces::clearOf($opening->front->holds->build($site), $inside, $this->terms->rules);
                }
                foreach ($opening->options as $option) {
                    $changes[] = [$site, $option];
                }
                if ($i < count($column->openings) - 1) {
                    $assemblies[] = $this->board($site);
                }
            }
        }

        $box = Assembly::all(...[...$assemblies, (new Backs($this->box, $this->terms, $this->behind))->build(), $this->nailers->build($this->make, $this->shell)]);
        foreach ($changes as [$site, $option]) {
            $box = $option->holds instanceof BoxOption ? $option->holds->change($site, $box, $option->id) : $box;
        }

        return $box;
    }

    /** The board over an opening, shared with the tier above, as deep as the slope leaves it. */
    private function board(OpeningSite $below): Assembly
    {
        $z = $below->opening->height->result->toDouble();
        $piece = $below->make->inner('board', 'Fixed board', $below->joints()->between($below->width()), $below->depthAt($z, $this->terms->board(), false), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges))], [$below->joints()->words()], null, $below->next('board'));

        return new Assembly([$below->level($piece, $z, Part::Body, false)], $below->fixed($piece, 'fixed shelves to the sides'));
    }
}
