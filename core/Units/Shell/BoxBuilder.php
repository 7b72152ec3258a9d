<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Survey\Room\RunFrame;
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

    /** @param RunFrame|null $frame of its run; null where it stands nowhere */
    public function __construct(private Box $box, private Terms $terms, private ?RunFrame $frame = null)
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
            $sites = array_map(fn (Opening $opening) => $this->site($this->box, $c, $opening, $numbers), $column->openings);
            $insides = $boards = [];
            foreach ($column->openings as $i => $opening) {
                $insides[] = $opening->holds instanceof InsideUnit ? $opening->holds->build($sites[$i]) : new Assembly([]);
                $boards[] = $i < count($column->openings) - 1 ? $this->board($sites[$i], $column->openings[$i + 1]->isSpanned) : new Assembly([]);
                foreach ($opening->options as $option) {
                    $changes[] = [$sites[$i], $option];
                }
            }
            foreach (array_keys($column->openings) as $i) {
                array_push($assemblies, $insides[$i], $this->front($c, $i, $sites[$i], $insides, $boards, $numbers), $boards[$i]);
            }
        }

        $box = Assembly::all(...[...$assemblies, (new Backs($this->box, $this->terms, $this->behind))->build(), $this->nailers->build($this->make, $this->shell)]);
        foreach ($changes as [$site, $option]) {
            $box = $option->holds instanceof BoxOption ? $option->holds->change($site, $box, $option->id) : $box;
        }

        return $box;
    }

    private function site(Box $box, int $column, Opening $opening, Numbers $numbers): OpeningSite
    {
        return new OpeningSite($box, $column, $opening, $this->terms, $this->shell, $this->nailers, $this->behind, $numbers, frame: $this->frame);
    }

    /**
     * What closes an opening, and those over it that it spans: its hinges keep off what is fixed behind it.
     *
     * @param  list<Assembly>  $insides  of the column
     * @param  list<Assembly>  $boards
     */
    private function front(int $c, int $i, OpeningSite $site, array $insides, array $boards, Numbers $numbers): Assembly
    {
        $openings = $this->box->columns[$c]->openings;
        $front = $openings[$i]->front?->holds;
        if ($openings[$i]->isSpanned || ! $front instanceof FrontUnit) {
            return new Assembly([]);
        }
        for ($count = 1; isset($openings[$i + $count]) && $openings[$i + $count]->isSpanned; $count++);
        if ($count > 1) {
            $box = $this->box->spanned($c, $i, $count, $this->terms->materials->carcass->thickness);
            $site = $this->site($box, $c, $box->columns[$c]->openings[$i], $numbers);
        }
        $behind = Assembly::all(...[...array_slice($insides, $i, $count), ...array_slice($boards, $i, $count - 1)]);

        return HingePlaces::clearOf($front->build($site), $behind, $this->terms->rules);
    }

    /** The board over an opening, shared with the tier above, as deep as the slope leaves it; behind a front that spans both it keeps clear of that. */
    private function board(OpeningSite $below, bool $isSpanned): Assembly
    {
        $z = $below->opening->height->result->toDouble();
        $piece = $below->make->inner('board', 'Fixed board', $below->joints()->between($below->width()), $below->depthAt($z, $this->terms->board(), $isSpanned), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges))], [$below->joints()->words()], null, $below->next('board'));

        return new Assembly([$below->level($piece, $z, Part::Body, $isSpanned)], $below->fixed($piece, 'fixed shelves to the sides'));
    }
}
