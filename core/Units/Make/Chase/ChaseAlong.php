<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Chase;

use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/**
 * A box round pipes that run along a wall over the floor: a lid on a batten at the wall, a face before it that comes off, ends where it
 * does not run into a corner. ih = the highest point of the pipes, their fall taken in, and ci; id = as they stand out and ci.
 */
final readonly class ChaseAlong
{
    /** Battens clear an end of the box by this much, mm and inches. */
    private const CLEAR = [2.0, 1 / 16];

    private Working $high;

    private Working $deep;

    private Working $long;

    /**
     * @param  non-empty-list<Block>  $blocks  of the pipes
     * @param  Working  $around  ci: a batten, and what is kept clear of pipes
     * @param  Length  $scribe  left on at the wall and at the floor
     */
    public function __construct(private SurfaceSite $site, private array $blocks, private Working $around, private Length $batten, private Length $scribe)
    {
        $format = $site->terms->format;
        $top = max(array_map(fn (Block $block) => $block->z1, $blocks)) - $site->place->z;
        $out = max(array_map(fn (Block $block) => $block->v1, $blocks)) - $site->place->v;
        $this->high = Working::start('the highest of the pipes', Length::ofDouble($top))->plus('a batten and what is kept clear', $around->result)->roundedUp($format);
        $this->deep = Working::start('the pipes stand out', Length::ofDouble(max(0.0, $out)))->plus('a batten and what is kept clear', $around->result)->roundedUp($format);
        $this->long = $site->place->width->roundedDown($format);
    }

    /** @param non-empty-list<array{float, float, bool}> $parts  of the face */
    public function build(array $parts): Assembly
    {
        $t = $this->site->terms->board();
        [$ih, $id, $long] = [$this->high->result->toDouble(), $this->deep->result->toDouble(), $this->long->result->toDouble()];
        $lid = $this->site->make->covering('lid', 'Lid', $this->long, $this->deep->plus('left on to scribe', $this->scribe), Purpose::Carcass, Outline::rectangle(0.0, 0.0, $long, $id), $this->touching('back, long'), ['screwed to its batten on the wall']);
        $placed = [$this->site->placedTo($lid, 0.0, 0.0, $ih, Way::Right, Way::Out, Way::Up, Part::Body)];
        $ends = $this->ends();
        $battens = $this->battens($ends !== []);
        $faces = $this->faces($parts, $t);
        $joints = [];
        foreach ($battens as $batten) {
            if ($batten->touches($placed[0], 0.5)) {
                $joints[] = new Joint($batten->piece->key, $lid->key, str_contains($batten->piece->key, 'lid') ? JointKind::Glue : JointKind::Screws, 'boxes round pipes');
            }
            foreach ($faces as $face) {
                if ($face->part !== Part::Loose && ! str_contains($batten->piece->key, 'wall') && $batten->touches($face, 0.5)) {
                    $joints[] = new Joint($face->piece->key, $batten->piece->key, JointKind::Screws, 'faces of boxes round pipes');
                }
            }
        }
        foreach ($ends as $end) {
            $joints[] = new Joint($lid->key, $end->piece->key, JointKind::Screws, 'boxes round pipes');
        }

        return new Assembly([...$placed, ...$battens, ...$ends, ...$faces], $joints, [], ['Inside height, '.$this->site->place->mark => $this->high, 'Inside depth, '.$this->site->place->mark => $this->deep]);
    }

    /** @return list<Finished> */
    private function touching(string $edge): array
    {
        return $this->scribe->isPositive() ? [new Finished($edge, Finish::TouchesHouse)] : [];
    }

    /** @return list<Placed> where it ends before a corner */
    private function ends(): array
    {
        $t = $this->site->terms->board();
        $wall = $this->site->place->frame->length();
        $ends = [];
        foreach ([['end-L', 0.0, $this->site->place->u > 1.0], ['end-R', $this->long->result->toDouble() - $t, $this->site->place->u + $this->site->place->width->result->toDouble() < $wall - 1.0]] as [$role, $x, $isOpen]) {
            $outline = $this->slotted();
            if ($isOpen && $outline !== null) {
                $piece = $this->site->make->covering($role, 'End', $this->deep->plus('left on to scribe', $this->scribe), $this->high, Purpose::Carcass, $outline, $this->touching('back, short'), ['under the lid, behind the face; slotted from its back for the pipes that run on']);
                $ends[] = $this->site->placedTo($piece, $x, 0.0, 0.0, Way::Out, Way::Up, Way::Right, Part::Body);
            }
        }

        return $ends;
    }

    /** An end with a slot from its back for every pipe, which runs on through it; null where nothing whole would be left. */
    private function slotted(): ?Outline
    {
        $outline = Outline::rectangle(0.0, 0.0, $this->deep->result->toDouble(), $this->high->result->toDouble());
        $clear = $this->around->result->minus($this->batten)->toDouble();
        foreach ($this->blocks as $block) {
            [$out, $foot, $head] = [$block->v1 - $this->site->place->v + $clear, $block->z0 - $this->site->place->z - $clear, $block->z1 - $this->site->place->z + $clear];
            $parts = $outline->minus(Polygon::rectangle(-1.0, $foot, $out + 1.0, $head - $foot));
            if (count($parts) !== 1) {
                return null;
            }
            $outline = $parts[0];
        }

        return $outline;
    }

    /** @return list<Placed> */
    private function battens(bool $hasEnds): array
    {
        $terms = $this->site->terms;
        $thick = $terms->materials->for(Purpose::Framing)->thickness->toDouble();
        $short = $hasEnds ? $terms->materials->carcass->thickness->plus($terms->rules->either(...self::CLEAR)) : $terms->rules->either(...self::CLEAR);
        $length = $this->long->minusTimes('short of the ends', 2, $short);
        [$ih, $id, $b, $x] = [$this->high->result->toDouble(), $this->deep->result->toDouble(), $this->batten->toDouble(), $short->toDouble()];
        $make = fn (string $role, string $name, string $how): Piece => $this->site->make->inner($role, $name, $length, Working::start('width of the batten', $this->batten), Purpose::Framing, Grain::Length, [], [$how]);

        return [
            $this->site->placed($make('batten-wall', 'Wall batten', 'screwed to the wall, level'), $x, 0.0, $ih - $b, Way::Right, Way::Up, Part::Cleat),
            $this->site->placed($make('batten-lid', 'Lid batten', 'glued under the lid, flush with its front'), $x, $id - $thick, $ih - $b, Way::Right, Way::Up, Part::Cleat),
            $this->site->placed($make('batten-floor', 'Floor batten', 'screwed to the floor'), $x, $id - $thick, 0.0, Way::Right, Way::Up, Part::Cleat),
        ];
    }

    /**
     * @param  non-empty-list<array{float, float, bool}>  $parts
     * @return list<Placed>
     */
    private function faces(array $parts, float $t): array
    {
        $terms = $this->site->terms;
        $high = $this->high->plus('the lid', $terms->materials->carcass->thickness);
        $tall = $high->result->toDouble();
        $placed = [];
        foreach (ChaseFace::gapped($parts, $terms->rules) as [$role, $left, $right, $lifts]) {
            $length = ChaseFace::length($left, $right, $this->long, count($parts) === 1, $terms->format);
            $piece = $this->site->make->covering($role, ChaseFace::name($lifts), $length, $high->plus('left on at the floor', $this->scribe), ChaseFace::purpose($terms->materials), Outline::rectangle(0.0, 0.0, $length->result->toDouble(), $tall), $this->touching('lower, long'), [ChaseFace::words($lifts)]);
            $placed[] = $this->site->placed($piece, $left, $this->deep->result->toDouble(), 0.0, Way::Right, Way::Up, $lifts ? Part::Loose : Part::Cladding);
        }

        return $placed;
    }
}
