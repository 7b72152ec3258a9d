<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A strip under the front of a box that hides a light, a curtain track or the gap below, with returns to the wall at its free ends,
 * mitred to it: W long, and D − sb at each return; on ⌈W/500⌉ + 1 blocks under the box.
 */
#[About('pelmet', 'Pelmet', 'A strip under its front that hides a light or a gap, returned at free ends.', 'On the wall')]
final readonly class Pelmet implements BoxOption
{
    /** A block under the box and how far two are apart, mm and inches. */
    private const BLOCK = [60.0, 2.375];

    private const APART = [500.0, 20.0];

    /** So much is clear under a pelmet, over the floor or a worktop, mm and inches: what stands lower stands on something. */
    private const CLEAR = [450.0, 18.0];

    public function __construct(
        #[Size('Height', ['45', '1 3/4'], 25, 150, 'The light and 15 mm or 5/8 in at least.')] public Length $height,
        #[Size('Behind the face', ['0', '0'], 0, 100, 'Behind doors that lie over it: as thick as they are, and 3 mm or 1/8 in.')] public Length $back,
        #[Toggle('Returned at the left', true)] public bool $left,
        #[Toggle('Returned at the right', true)] public bool $right,
    ) {
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $whole = $site->box;
        $terms = $site->terms;
        if ($whole->z < $this->height->toDouble() + $terms->rules->either(...self::CLEAR)->toDouble()) {
            return $box->finding(Finding::clash(Code::MemberNoRoom, sprintf('There is no room under %s for a pelmet of %s: it is %s off the floor.', $whole->mark, $terms->format->write($this->height), $terms->write($whole->z)), $site->opening->tierId)->withWaysOut([new WayOut('Take the pelmet away', Edits::withoutOption($id))]));
        }
        $make = $site->make->of($whole->id);
        $wide = Working::start('width of the box', $whole->outerWidth());
        $high = Working::start('height of the pelmet', $this->height);
        $t = $terms->materials->for(Purpose::Frame)->thickness->toDouble();
        $deep = Working::start('depth of the box', Length::ofDouble($whole->face() - $whole->v))->minus('behind the face', $this->back);
        $z = $whole->z - $this->height->toDouble();
        $face = $whole->face() - $this->back->toDouble();
        $eased = new Finished('foot, long', Finish::Eased);
        [$long, $w] = [$wide->result->toDouble(), $this->height->toDouble()];
        $works = [$eased, ...$this->left ? [self::mitre('left end', 0.0, $w)] : [], ...$this->right ? [self::mitre('right end', $long, $w)] : []];
        $front = $make->inner('pelmet', 'Pelmet', $wide, $high, Purpose::Frame, Grain::Length, $works, ['screwed up into the bottom through its blocks']);
        // Its face is the one that its origin lies on: the mitres are longest there.
        $placed = [new Placed($front, Pose::at($whole->u, $face, $z, Way::Right, Way::Up, Way::In), Part::Face, $whole->id)];
        foreach ([['return-L', $this->left, $whole->u], ['return-R', $this->right, $whole->right()]] as [$role, $is, $u]) {
            if (! $is) {
                continue;
            }
            $isLeft = $role === 'return-L';
            $piece = $make->inner("pelmet-$role", 'Pelmet return', $deep, $high, Purpose::Frame, Grain::Length, [$eased, self::mitre('front end', $deep->roundedDown($terms->format)->result->toDouble(), $w)], ['mitred and glued to the pelmet; its back to the wall']);
            $placed[] = new Placed($piece, Pose::at($u, $face - $piece->length->result->toDouble(), $z, Way::Out, Way::Up, $isLeft ? Way::Right : Way::Left), Part::Face, $whole->id);
        }
        $blocks = $this->blocks($site, $wide, $face - $t);
        $joints = [
            ...array_map(fn (Placed $block) => new Joint($block->piece->key, $front->key, JointKind::Glue, 'pelmets'), $blocks),
            ...array_map(fn (Placed $return) => new Joint($return->piece->key, $front->key, JointKind::Glue, 'pelmets'), array_slice($placed, 1)),
        ];
        foreach ($blocks as $block) {
            foreach (array_filter($box->placed, fn (Placed $board) => $board->part === Part::Body && Pose::axis($board->pose->thickness) === Axis::Z && $board->touches($block, Joinery::TOUCH)) as $bottom) {
                $joints[] = new Joint($block->piece->key, $bottom->piece->key, JointKind::Screws, 'pelmets');
            }
        }

        return Assembly::all($box, new Assembly([...$placed, ...$blocks], $joints));
    }

    /** An end that is cut at 45°, longest on the face. */
    private static function mitre(string $edge, float $at, float $wide): Work
    {
        return new Bevelled($edge, M_PI / 4, ', longest on the face', [new Bevel([new Point($at, 0.0), new Point($at, $wide)], 1.0, true)]);
    }

    /** @return list<Placed> under the box behind the pelmet, through which it is screwed */
    private function blocks(OpeningSite $site, Working $wide, float $v): array
    {
        $terms = $site->terms;
        $count = (int) ceil($wide->result->toDouble() / $terms->rules->either(...self::APART)->toDouble() - 1e-9) + 1;
        $long = $terms->rules->either(...self::BLOCK);
        $b = $terms->materials->carcass->thickness;
        $in = $terms->materials->for(Purpose::Frame)->thickness->toDouble() + 1.0;
        $free = $wide->result->toDouble() - 2 * $in - $long->toDouble();
        $placed = [];
        for ($i = 0; $i < $count; $i++) {
            $piece = $site->make->of($site->box->id)->inner('pelmet-block-'.($i + 1), 'Block of the pelmet', Working::start('length of a block', $long), Working::start('as wide as thick', $b), Purpose::Carcass, Grain::Length, [], ['glued to the pelmet, two screws up into the bottom']);
            $placed[] = new Placed($piece, Pose::at($site->box->u + $in + $i * $free / ($count - 1), $v - $b->toDouble(), $site->box->z - $b->toDouble(), Way::Right, Way::Out, Way::Up), Part::Cleat, $site->box->id);
        }

        return $placed;
    }
}
