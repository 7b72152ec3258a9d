<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** Ledgers on the walls behind and beside, a front rail on posts, rails between where the slats need them, slats, and a front board. */
final readonly class BedFrame
{
    /** @param Length $lip how far its front board stands over the deck */
    public function __construct(private BedSizes $sizes, private Length $lip)
    {
    }

    /** @param list<string> $open ends at which nothing stands that a ledger could be screwed to */
    public function build(array $open): Assembly
    {
        $s = $this->sizes;
        $zl = $s->zl;
        $isOff = ! $s->bed->off->isZero();
        $back = $this->placed($isOff ? $this->framing('back-rail', 'Back rail', $s->long(), ['screwed down onto the posts']) : $this->framing('back-ledger', 'Back ledger', $s->long(), ['into every stud, level']), 0.0, 0.0, $zl, Way::Right, Way::Up, Way::Out, $isOff ? Part::Body : Part::Cleat);
        $front = $this->placed($this->framing('front-rail', 'Front rail', $s->long(), ['screwed down onto the posts']), 0.0, $s->front() - $s->lw, $zl, Way::Right, Way::Up, Way::Out);
        $sides = [];
        foreach (['left' => 0.0, 'right' => $s->pu - $s->lw] as $end => $x) {
            $sides[] = $this->placed($this->framing("side-ledger-$end", in_array($end, $open, true) ? 'End rail' : 'Side ledger', $s->clear, in_array($end, $open, true) ? ['in angle brackets on the back ledger and the front rail'] : ['into every stud, level']), $x, $s->lw, $zl, Way::Out, Way::Up, Way::Right, Part::Cleat);
        }
        $rails = [];
        foreach ($s->railPlaces() as $i => $y) {
            $rails[] = $this->placed($this->framing('centre-rail-'.($i + 1), 'Centre rail', $s->long()->minusTimes('side ledgers', 2, $s->rail->thickness), ['in hangers on the side ledgers']), $s->lw, $y, $zl, Way::Right, Way::Up, Way::Out);
        }
        [$slats, $joints] = $this->slats([$back, ...$rails, $front]);
        $posts = $this->posts($open);
        array_push($joints, ...array_map(fn (Placed $post) => new Joint($front->piece->key, $post->piece->key, JointKind::Butt, 'beds'), array_slice($posts, 0, $s->posts)));
        $board = $this->board();
        $joints[] = new Joint($front->piece->key, $board->piece->key, JointKind::Screws, 'front boards');

        return new Assembly([$back, ...$sides, $front, ...$rails, ...$posts, ...$this->legs($rails), ...$slats, $board], $joints, $this->hardware($back, $sides, $open, count($rails), count($posts)), [
            'Gap between slats: the length of the spacer block' => $s->slats->gap,
            'Clear span of a slat' => $s->span,
            'Between the posts' => $s->field,
        ]);
    }

    /** @param list<string> $joints */
    private function framing(string $role, string $name, Working $length, array $joints): Piece
    {
        return $this->sizes->site->make->inner($role, $name, $length, Working::start('as it is bought', $this->sizes->lh), Purpose::Rail, Grain::Length, [], $joints);
    }

    private function placed(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part = Part::Body): Placed
    {
        $cell = $this->sizes->site->cell;

        return new Placed($piece, Pose::at($this->sizes->from() + $x, $this->sizes->back + $y, $z, $length, $width, $thickness), $part, $cell->tier->id);
    }

    /**
     * @param  list<Placed>  $bearers
     * @return array{list<Placed>, list<Joint>}
     */
    private function slats(array $bearers): array
    {
        $s = $this->sizes;
        $long = $s->deep()->minus('front board', Length::ofDouble($s->t))->minusTimes('play at its ends', 2, $s->ends);
        $placed = $joints = [];
        for ($i = 0; $i < $s->slats->count; $i++) {
            $piece = $s->site->make->inner('slat-'.($i + 1), 'Slat', $long, Working::start('as it is bought', $s->slatWidth()), Purpose::Slat, Grain::Length, [], ['two screws at each bearer']);
            $placed[] = $slat = $this->placed($piece, $s->ends->toDouble() + $s->slats->at($i), $s->ends->toDouble(), $s->deck - $s->ts, Way::Out, Way::Right, Way::Up);
            foreach ($bearers as $bearer) {
                $joints[] = new Joint($slat->piece->key, $bearer->piece->key, JointKind::Screws, 'slats');
            }
        }

        return [$placed, $joints];
    }

    /**
     * Under the front rail, and at the back corner of an end that is open; under the back rail too where it stands off the wall.
     *
     * @param  list<string>  $open
     * @return list<Placed>
     */
    private function posts(array $open): array
    {
        $s = $this->sizes;
        $high = Working::start('from the floor to the rail', Length::ofDouble(max(1.0, $s->zl)));
        $post = fn (string $role, float $x, float $y): Placed => $this->placed($this->framing($role, 'Post', $high, ['under the rail; cut to the floor as it is there']), $x, $y, 0.0, Way::Up, Way::Right, Way::Out, Part::Face);
        $posts = [];
        for ($i = 0; $i < $s->posts; $i++) {
            $posts[] = $post('front-post-'.($i + 1), $s->postAt($i), $s->front() - $s->lw);
        }
        if (! $s->bed->off->isZero()) {
            return [...$posts, ...array_map(fn (int $i) => $post('back-post-'.($i + 1), $s->postAt($i), 0.0), range(0, $s->posts - 1))];
        }
        foreach ($open as $end) {
            $posts[] = $post("back-post-$end", $end === 'left' ? 0.0 : $s->pu - $s->lh->toDouble(), 0.0);
        }

        return $posts;
    }

    /**
     * @param  list<Placed>  $rails
     * @return list<Placed>
     */
    private function legs(array $rails): array
    {
        $s = $this->sizes;
        $high = Working::start('from the floor to the rail', Length::ofDouble(max(1.0, $s->zl)));
        $legs = [];
        foreach ($rails as $r => $rail) {
            for ($k = 1; $k <= $s->legs; $k++) {
                $x = $s->lw + $k * ($s->pu - 2 * $s->lw) / ($s->legs + 1) - $s->lh->toDouble() / 2;
                $piece = $this->framing(sprintf('leg-%d-%d', $r + 1, $k), 'Leg', $high, ['a plate or two brackets at its head']);
                $legs[] = $this->placed($piece, $s->bed->drawers ? $s->postAt($k) : $x, $s->railPlaces()[$r], 0.0, Way::Up, Way::Right, Way::Out);
            }
        }

        return $legs;
    }

    /**
     * What stands where a post comes down: a box, or what carries boxes; its id and what it is called.
     *
     * @param  list<string>  $open
     * @return array{string, string}|null
     */
    public function postsIn(array $open): ?array
    {
        $run = $this->sizes->site->run;
        foreach ($this->posts($open) as $post) {
            foreach ($run->boxes as $box) {
                if ($box->block()->meets($post->bounds, 0.5)) {
                    return [$box->id, "box $box->mark"];
                }
            }
            foreach ($run->under() as $under) {
                if ($under->u < $post->bounds->u1 - 0.5 && $under->end() > $post->bounds->u0 + 0.5 && $under->front() > $post->bounds->v0 + 0.5) {
                    return [$under->id, 'the plinth'];
                }
            }
        }

        return null;
    }

    private function board(): Placed
    {
        $s = $this->sizes;
        $high = Working::start('rail', $s->lh)->plus('slat', $s->slat->thickness)->plus('stands over the deck', $this->lip);
        $piece = $s->site->make->inner('front-board', 'Front board', $s->long(), $high, Purpose::Front, Grain::Length, [new Finished('upper, long', Finish::Banded)], ['screwed from behind through the front rail']);

        return $this->placed($piece, 0.0, $s->front(), $s->zl, Way::Right, Way::Up, Way::Out, Part::Face);
    }

    /**
     * Ledgers by what one stud carries: its share of the bed, and one person beside it.
     *
     * @param  list<Placed>  $sides
     * @param  list<string>  $open
     * @return list<Hardware>
     */
    private function hardware(Placed $back, array $sides, array $open, int $rails, int $posts): array
    {
        $s = $this->sizes;
        $share = ($s->span->result->toDouble() / 2 + $s->lw) / max(1.0, $s->front());
        $screws = new LedgerScrews($s->site->terms, $share, $s->pu);
        $hung = array_values(array_filter($sides, fn (Placed $side) => ! in_array(substr($side->piece->key, (int) strrpos($side->piece->key, '-') + 1), $open, true)));
        $brackets = 2 * $rails + 2 * $posts + 4 * count($open) + ($s->bed->off->isZero() ? 0 : 2 * $posts);

        return [
            ...($s->bed->off->isZero() ? [$screws->of($s->lw, $back->piece->length->result->toDouble())] : []),
            ...array_map(fn (Placed $side) => $screws->of($s->lw, $side->piece->length->result->toDouble()), $hung),
            new Hardware('angle bracket', $brackets, 'rails and posts of beds', ArticleKind::AngleBracket),
            new Hardware('felt strip', 2 + $rails, 'under slats, so that they do not creak', ArticleKind::Felt),
        ];
    }
}
