<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Opening;

use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Survey\Things\Bears;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Make\Raked;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/**
 * The posts that stand in an opening: covered, never moved or cut. What brings their faces into the plane behind the trim is a furring
 * strip, p = v − v_post at its foot and its head, tapered where these differ; where one stands before that plane the trim does too.
 */
final readonly class PostsFound
{
    /** Furring thinner than this is none, mm; and where both ends differ by no more it is not tapered. */
    private const NONE = 1.0;

    /** It ends under the upper rail by so much, mm and inches. */
    private const UNDER = [20.0, 0.75];

    /** @var list<array{Thing, Block}> from left to right */
    private array $posts;

    public function __construct(private SurfaceSite $site)
    {
        $posts = array_values(array_filter($site->things(ThingKind::Post), fn (array $post) => $post[1]->u1 > $site->place->u && $post[1]->u0 < $site->place->end()));
        usort($posts, fn (array $one, array $other) => $one[1]->u0 <=> $other[1]->u0);
        $this->posts = $posts;
    }

    /** @return list<array{float, float}> middle of each from the opening's left, and its width; mm */
    public function places(): array
    {
        return array_map(fn (array $post): array => [($post[1]->u0 + $post[1]->u1) / 2 - $this->site->place->u, $post[1]->u1 - $post[1]->u0], $this->posts);
    }

    /** The place of the trim: before what stands out farthest. */
    public function before(SurfaceSite $site): SurfaceSite
    {
        $proud = $this->proud();

        return $proud < self::NONE ? $site : $site->placedOtherwise(['v' => $site->place->v + $proud]);
    }

    private function proud(): float
    {
        return max([0.0, ...array_map(fn (array $post): float => $post[1]->v1 - $this->site->place->v, array_filter($this->posts, fn (array $post) => $post[0]->standsOut > 0.0))]);
    }

    /**
     * What is put on each post whose face lies behind the trim's back.
     *
     * @param  SurfaceSite  $site  of the trim
     * @param  Length  $rail  width of the upper rail
     * @return list<Placed>
     */
    public function furring(SurfaceSite $site, Raked $rake, Length $rail): array
    {
        $terms = $site->terms;
        $timber = $terms->materials->for(Purpose::Rail)->thickness->toDouble();
        $placed = [];
        foreach ($this->posts as $i => [$post, $block]) {
            [$foot, $head] = $this->behind($post, $site);
            if (max($foot, $head) < self::NONE) {
                continue;
            }
            $middle = ($block->u0 + $block->u1) / 2 - $site->place->u;
            $under = min($rake->off($middle - $timber / 2, -$rail->toDouble()), $rake->off($middle + $timber / 2, -$rail->toDouble()));
            $length = Working::start('to the upper rail', Length::ofDouble($under))->minus('under it', $terms->rules->either(...self::UNDER))->atMost('height of its post', Length::ofDouble($block->z1 - $site->place->z))->roundedDown($terms->format);
            $width = Working::start('to the face of the trim’s back, at its farthest', Length::ofDouble(max($foot, $head)))->roundedDown($terms->format->fine());
            $long = $length->result->toDouble();
            $less = max($foot, $head) - $width->result->toDouble();
            $isTapered = abs($foot - $head) > self::NONE;
            $outline = $isTapered ? new Outline(new Polygon([new Point(0.0, 0.0), new Point($long, 0.0), new Point($long, max(0.5, $head - $less)), new Point(0.0, max(0.5, $foot - $less))])) : null;
            $role = 'furring-'.($i + 1);
            $piece = $site->make->shaped($role, 'Furring strip', $length, $width, Purpose::Rail, $outline ?? Outline::rectangle(0.0, 0.0, $long, $width->result->toDouble()), [], [$isTapered ? 'ripped to its taper, screwed to its post, shims under it' : 'ripped to its depth, screwed to its post'], $role, Grain::Length);
            $placed[] = new Placed($piece, Pose::at($site->place->u + $middle - $timber / 2, $site->place->v, $site->place->z, Way::Up, Way::In, Way::Right), Part::Lining, $site->place->surface->id);
        }

        return $placed;
    }

    /**
     * How far its face lies behind the trim's back at its foot and its head, mm; nothing where nobody took it.
     *
     * @return array{float, float}
     */
    private function behind(Thing $post, SurfaceSite $site): array
    {
        $out = $site->place->v - $this->site->place->v - ($post->standsOut > 0.0 ? $post->standsOut : 0.0);
        $foot = $post->behindFoot ?? 0.0;

        return [max(0.0, $foot + $out), max(0.0, ($post->behindHead ?? $foot) + $out)];
    }

    /**
     * What packs a slide out from the side of each post that a stile between sections covers.
     *
     * @return array<string, Working>
     */
    public function beside(Sections $sections): array
    {
        $packing = [];
        foreach ($this->places() as $i => [$at, $wide]) {
            for ($s = 1; $s < $sections->count; $s++) {
                $left = $sections->stile($s);
                $right = $left + $sections->middle->toDouble();
                if ($at - $wide / 2 >= $left - 1e-6 && $at + $wide / 2 <= $right + 1e-6) {
                    $mark = $this->site->place->mark;
                    $packing[sprintf('Slides left of post %d of %s packed', $i + 1, $mark)] = Working::start('its left side from the stile’s left edge', Length::ofDouble($at - $wide / 2 - $left));
                    $packing[sprintf('Slides right of post %d of %s packed', $i + 1, $mark)] = Working::start('its right side to the stile’s right edge', Length::ofDouble($right - $at - $wide / 2));
                }
            }
        }

        return $packing;
    }

    /** What is called of one that carries the house; null where none is known to. */
    public function bearing(): ?string
    {
        foreach ($this->posts as [$post]) {
            if ($post->bears === Bears::Bears) {
                return $post->name;
            }
        }

        return null;
    }

    /** Whether somebody who knows looked at every post, and none carries anything. */
    public function isKnownFree(): bool
    {
        return $this->posts !== [] && array_filter($this->posts, fn (array $post) => $post[0]->bears !== Bears::DoesNot) === [];
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $place = $this->site->place;
        $proud = $this->proud();
        $unread = array_filter($this->posts, fn (array $post) => $post[0]->behindFoot === null && $post[0]->standsOut <= 0.0);

        return [
            ...$proud < self::NONE ? [] : [Finding::warning(Code::TrimProud, sprintf('A post in %s stands %s out: the trim stands as far before the wall.', $place->mark, $this->site->terms->write($proud)), $place->surface->id)],
            ...$unread === [] ? [] : [Finding::note(Code::Caution, sprintf('Lay a straightedge across %s and take how far the face of each post lies behind it, at its foot and its head: furring strips bring them into the plane of the trim.', $place->mark), $place->surface->id)],
        ];
    }
}
