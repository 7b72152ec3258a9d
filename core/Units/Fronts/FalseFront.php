<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Units\Assembly;
use Incastro\Units\Fixing;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Part;
use Incastro\Units\Pull;
use Incastro\Units\Sites\OpeningSite;

/** A leaf that looks like a door or a drawer and does not open: before a sink, a chase, a post. Upright cleats beside it hold it. */
#[About('false-front', 'False front', 'Looks like a door or a drawer, and is taken off.', 'Doors')]
final readonly class FalseFront implements FrontUnit
{
    /** How far a cleat reaches behind the leaf, mm. */
    private const BEHIND = 20.0;

    public function __construct(
        #[Choice('Held by', Fixing::Magnets)] public Fixing $fix,
        #[Choice('Closes', Mount::Inset, without: [Mount::Lipped])] public Mount $mount,
        #[Choice('Built as', LeafBuild::Slab)] public LeafBuild $build,
        #[Choice('Pull', Pull::Bar)] public Pull $pull,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $leaf = $this->mount === Mount::Inset ? $materials->for(Purpose::Front)->thickness : Length::zero();
        $frame = $rules->schools->edges === Edges::Frame ? $materials->frame->thickness : Length::zero();
        // A cleat stands behind the leaf and the frame, and what is inside behind that.
        $behind = ($leaf->isGreaterThan($frame) ? $leaf : $frame)->plus($materials->carcass->thickness)->plus($rules->get(Rule::BehindFront));

        return new FrontDemand(Extent::atLeast(Length::ofDouble(Leaf::LEAST), 'a leaf needs %s'), Extent::atLeast(Length::ofDouble(Leaf::LEAST), 'a leaf needs %s'), $behind);
    }

    public function build(OpeningSite $site): Assembly
    {
        $maker = new Leaf($site, $this->mount, $this->build);
        $width = $maker->width(1);
        $x = $maker->starts(1, $width)[0];
        $least = $maker->least();
        if ($width->result->toDouble() < $least || $maker->lowest($x, $width->result->toDouble()) < $least) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('There is no room for a front here; %s is the least that is made.', $site->terms->write($least)), $site->opening->tierId)->withWaysOut($site->unclosed('Take the front away'))]);
        }
        $made = $maker->made('false-front', 'False front', $width, $x, [$this->fix === Fixing::Magnets ? 'held by magnets' : 'screwed from behind']);

        return Assembly::all($made->assembly, $this->cleats($site, $made), new Assembly([], [], [
            $this->fix === Fixing::Magnets ? new Hardware('magnet catch', 4, 'false fronts', ArticleKind::Magnet) : new Hardware('screw from behind', 4, 'false fronts', ArticleKind::Screw),
            ...$this->pull->bought(1, 'false fronts'),
        ]));
    }

    /** Upright strips behind the leaf's edges, screwed to the boards at both sides. */
    private function cleats(OpeningSite $site, MadeLeaf $made): Assembly
    {
        $terms = $site->terms;
        $thick = $terms->materials->for(Purpose::Front)->thickness->toDouble();
        $t = $terms->board();
        [$left, $right, $foot] = $site->frame();
        $edge = $site->face() - $terms->frame()->toDouble();
        // Before a leaf inside its edges; over them, flush with the boards.
        $y = min($edge, $this->mount === Mount::Inset ? $site->face() - $thick : $edge) - $t;
        $long = Working::start('height beside the leaf', Length::ofDouble(max(30.0, min(min($made->heights), $site->height()->result->toDouble() - $foot) - 5.0)));
        $clear = $site->width()->result->toDouble();
        $placed = $joints = [];
        foreach ([['L', $left, $site->beside()[0]], ['R', $right, $site->beside()[1]]] as [$hand, $in, $board]) {
            $wide = Working::start('width of a cleat', $terms->rules->get(Rule::CleatWidth))->atLeast('behind the leaf', Length::ofDouble($in + self::BEHIND));
            $piece = $site->make->inner("false-front-cleat-$hand", 'Cleat', $long, $wide, Purpose::Carcass, Grain::Length, [], ['screwed to the side'], null, $site->mark("false-front-cleat-$hand"));
            $placed[] = $site->placed($piece, $hand === 'L' ? 0.0 : $clear - $piece->width->result->toDouble(), $y, max(0.0, $foot), Way::Up, Way::Right, Way::Out, Part::Cleat);
            $joints[] = new Joint($piece->key, $board, JointKind::Pocket, 'cleats behind false fronts');
            if ($this->fix === Fixing::Screws && abs($y + $t - $site->edges()->front($this->mount, $thick)) < 0.1) {
                $joints[] = new Joint($piece->key, $made->edge($hand === 'L' ? Hand::Left : Hand::Right), JointKind::Screws, 'false fronts');
            }
        }

        return new Assembly($placed, $joints);
    }
}
