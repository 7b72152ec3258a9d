<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\HungLeaf;
use Incastro\Units\Make\Opening\PostsFound;
use Incastro\Units\Make\Opening\Sections;
use Incastro\Units\Make\Raked;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\SectionFront;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * Trim round an opening that was found, square or under a rake, in equal sections whose stiles cover the posts that stand in it: a post
 * is never moved or cut. Side stiles go up in full, rails between them, the other stiles between the rails. What closes a section keeps
 * the reveal square to each edge: its low side is h₁ + (x + rv)·tan θ − (r + rv)/cos θ − rf − rv, down.
 */
#[About('opening-frame', 'Frame of an opening', 'Trim round an opening that was found, in equal sections, with fronts if wanted.', 'On a wall', 'O')]
final readonly class OpeningFrame implements SurfaceUnit, AsksOfRoom
{
    /** As many sections as come nearest this width, mm and inches. */
    private const WISHED = [750.0, 30.0];

    /** A stile is no wider, and a section no narrower, mm and inches. */
    private const STILE = [150.0, 6.0];

    private const SECTION = [150.0, 6.0];

    /** What is clear under the rake at the low side, mm and inches; and how high a front is there. */
    private const LOW = [100.0, 4.0];

    private const TIP = [30.0, 1.25];

    public function __construct(
        #[Size('Height of the opening at its left', ['520', '20'], 200, 3000)] public Length $left,
        #[Size('Height at its right', null, 200, 3000, 'As high as at its left, where nothing is given.')] public ?Length $right,
        #[Count('Sections', 0, 0, 6, '0: as many as come nearest 750 mm or 30 in.')] public int $sections,
        #[Size('Width of the side stiles', ['70', '2 1/2'], 38, 150)] public Length $side,
        #[Size('Width of the stiles between', ['70', '2'], 38, 150)] public Length $middle,
        #[Size('Width of the upper rail', ['60', '2 1/2'], 38, 150)] public Length $rail,
        #[Size('Width of the foot rail', ['95', '3 1/2'], 38, 150)] public Length $foot,
        #[Choice('Its sections are closed by', SectionFront::None)] public SectionFront $front,
        #[Size('Gap round a front', ['2.5', '3/32'], 1.5, 4)]
        #[Unless('front', SectionFront::None)]
        public Length $reveal,
        #[Toggle('Somebody who knows looked: nothing in it carries the house', false)] public bool $confirmed,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Posts;
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $highest = $this->right !== null && $this->right->isGreaterThan($this->left) ? $this->right : $this->left;

        return new SurfaceDemand(
            Extent::atLeast($this->side->times(2)->plus($rules->either(...self::SECTION)), 'two stiles and a section between them need %s'),
            Extent::between($highest, $highest, 'its opening is %s high'),
            $materials->for(Purpose::Frame)->thickness,
            isFromFloor: true,
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $found = new PostsFound($site);
        $site = $found->before($site);
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $wide = $site->place->width->roundedDown($terms->format)->result;
        $rake = new Raked($this->left->toDouble(), ($this->right ?? $this->left)->toDouble(), $wide->toDouble());
        $count = $this->sections > 0 ? $this->sections : max(1, min(6, (int) round($wide->toDouble() / $terms->rules->either(...self::WISHED)->toDouble())));
        $posts = $found->places();
        $sections = Sections::covering($wide, $count, $this->side, $this->middle, $posts, $terms->format);
        $refused = $this->refused($site, $sections, $rake, $posts);
        if ($refused !== []) {
            return new Assembly([], findings: $refused);
        }
        $trim = $this->trim($site, $sections, $rake);
        $joints = [];
        foreach (array_slice($trim, 2) as $one) {
            foreach ($trim as $other) {
                $isRail = str_contains($other->piece->key, 'rail') !== str_contains($one->piece->key, 'rail');
                if ($isRail && $one !== $other && $one->touches($other, 0.5) && (str_contains($one->piece->key, 'rail') || str_contains($one->piece->key, 'stile-mid'))) {
                    $joints[$one->piece->key < $other->piece->key ? $one->piece->key.$other->piece->key : $other->piece->key.$one->piece->key] = new Joint($one->piece->key, $other->piece->key, JointKind::Glue, 'frames of openings');
                }
            }
        }
        $fronts = $this->front === SectionFront::None ? new Assembly([]) : $this->fronts($site, $sections, $rake);
        $metres = array_sum(array_map(fn (Placed $one) => $one->piece->length->result->toDouble(), $trim));
        $brad = $terms->materials->for(Purpose::Frame)->thickness->plus($terms->rules->either(32, 1.25))->roundedUp($terms->format->step);

        return Assembly::all(new Assembly([...$trim, ...$found->furring($site, $rake, $this->rail)], array_values($joints), [new Hardware('brad '.$terms->format->write($brad), 2 * (int) ceil($metres / $terms->rules->either(400, 16)->toDouble()), 'frames of openings', ArticleKind::Brad, $brad)], [
            'Each section, '.$site->place->mark => $sections->clear, 'Right side stile, '.$site->place->mark => $sections->last,
        ] + $found->beside($sections), [...$found->findings(), ...$this->cautions($found, $id)]), $fronts);
    }

    /**
     * @param  list<array{float, float}>  $posts
     * @return list<Finding>
     */
    private function refused(SurfaceSite $site, Sections $sections, Raked $rake, array $posts): array
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $away = new WayOut('Take it away', Edits::withoutSurface($id));
        $other = array_map(fn (int $n) => new WayOut($n === 1 ? 'Make it 1 section' : "Make it $n sections", Edits::surface($id)->setting(['sections' => $n])), array_values(array_filter([$sections->count - 1, $sections->count + 1], fn (int $n) => $n > 0 && $n <= 6)));
        $most = $terms->rules->either(...self::STILE);
        if ($sections->middle->isGreaterThan($most) || $sections->needs($posts) > $sections->middle->toDouble() + 1e-6) {
            return [Finding::clash(Code::PostUncovered, sprintf('A post in %s stands so far off its place that a stile of %s would cover it; the widest is %s. A post is never moved or cut.', $site->place->mark, $terms->write($sections->needs($posts)), $terms->format->write($most)), $id)->withWaysOut([...$other, $away])];
        }
        if ($sections->clear->result->isLessThan($terms->rules->either(...self::SECTION))) {
            return [Finding::clash(Code::TooSmall, sprintf('The sections of %s would be %s wide; %s is the least.', $site->place->mark, $terms->write(max(0.0, $sections->clear->result->toDouble())), $terms->format->write($terms->rules->either(...self::SECTION))), $id)->withWaysOut([...array_slice($other, 0, $sections->count > 1 ? 1 : 0), $away])];
        }
        $low = min($rake->off(0.0, -$this->rail->toDouble()), $rake->off($rake->wide, -$this->rail->toDouble())) - $this->foot->toDouble();
        $least = $terms->rules->either(...self::LOW);

        return $low >= $least->toDouble() ? [] : [Finding::clash(Code::TooSmall, sprintf('At its low side %s leaves %s between its rails; %s is the least.', $site->place->mark, $terms->write(max(0.0, $low)), $terms->format->write($least)), $id)->withWaysOut([$away])];
    }

    /** @return non-empty-list<Placed> side stiles, rails, stiles between */
    private function trim(SurfaceSite $site, Sections $sections, Raked $rake): array
    {
        $terms = $site->terms;
        $right = $sections->right();
        $scribed = new Finished('outer, long', Finish::TouchesHouse);
        $placed = [
            $this->upright($site, 'stile-L', 'Side stile', $rake, 0.0, Working::start('width of the side stile', $this->side), 0.0, 0.0, $scribed),
            $this->upright($site, 'stile-R', 'Side stile', $rake, $right, $sections->last, 0.0, 0.0, $scribed),
        ];
        $cuts = $this->parted($terms->rule(Rule::LongestPiece) * cos($rake->angle), $sections);
        foreach (array_slice($cuts, 1) as $i => $to) {
            $role = count($cuts) === 2 ? '' : '-'.($i + 1);
            $placed[] = $this->upper($site, $role, $cuts[$i], $to, $rake);
            $placed[] = $site->placed($site->make->inner("rail-foot$role", 'Foot rail', $this->between($cuts, $i, $terms->format), Working::start('width of the rail', $this->foot), Purpose::Frame, Grain::Length, [new Finished('lower, long', Finish::TouchesHouse)], ['between the side stiles']), $cuts[$i], 0.0, 0.0, Way::Right, Way::Up, Part::Face);
        }
        for ($i = 1; $i < $sections->count; $i++) {
            $placed[] = $this->upright($site, "stile-mid-$i", 'Stile', $rake, $sections->stile($i), Working::start('width of the stile', $sections->middle), $this->foot->toDouble(), $this->rail->toDouble());
        }

        return $placed;
    }

    /** A stile from a height up to the rake, or so far square under it. */
    private function upright(SurfaceSite $site, string $role, string $name, Raked $rake, float $x, Working $width, float $foot, float $under, Work ...$works): Placed
    {
        $w = $width->result->toDouble();
        [$low, $high] = [$rake->off($x, -$under) - $foot, $rake->off($x + $w, -$under) - $foot];
        $length = Working::start($under > 0.0 ? 'between the rails, at its long point' : 'to the rake, at its long point', Length::ofDouble(max($low, $high)))->roundedDown($site->terms->format);
        $less = max($low, $high) - $length->result->toDouble();
        $outline = $rake->isLevel() ? null : new Outline(new Polygon([new Point(0.0, 0.0), new Point($low - $less, 0.0), new Point($high - $less, $w), new Point(0.0, $w)]));
        $works = [...array_values($works), ...$rake->isLevel() ? [] : [new Sawn('top', abs($rake->angle), ' to the rake')]];

        return $site->placed($site->make->inner($role, $name, $length, $width, Purpose::Frame, Grain::Length, $works, [$under > 0.0 ? 'between the rails, over the post' : 'in full height, fixed plumb'], $outline), $x, 0.0, $foot, Way::Up, Way::Right, Part::Face);
    }

    /**
     * Where rails begin and end: at the side stiles, and, where they are longer than a board, over stiles between.
     *
     * @return non-empty-list<float>
     */
    private function parted(float $longest, Sections $sections): array
    {
        $cuts = [$this->side->toDouble()];
        for ($i = 1; $i < $sections->count; $i++) {
            $next = $i + 1 < $sections->count ? $sections->stile($i + 1) + $sections->middle->toDouble() / 2 : $sections->right();
            if ($next - $cuts[count($cuts) - 1] > $longest) {
                $cuts[] = $sections->stile($i) + $sections->middle->toDouble() / 2;
            }
        }

        return [...$cuts, $sections->right()];
    }

    /** @param non-empty-list<float> $cuts */
    private function between(array $cuts, int $i, LengthFormat $format): Working
    {
        return Working::start(count($cuts) === 2 ? 'between the side stiles' : 'to the middle of a stile', Length::ofDouble($cuts[$i + 1] - $cuts[$i]))->roundedDown($format);
    }

    /** The upper rail, or a part of it, along the rake, its ends plumb. */
    private function upper(SurfaceSite $site, string $number, float $from, float $to, Raked $rake): Placed
    {
        $long = $to - $from;
        $r = $this->rail->toDouble();
        $width = Working::start('width of the rail', $this->rail);
        $how = ['between the side stiles'];
        if ($rake->isLevel()) {
            return $site->placed($site->make->inner("rail-head$number", 'Head rail', Working::start('between the side stiles', Length::ofDouble($long)), $width, Purpose::Frame, Grain::Length, [], $how), $from, 0.0, $rake->left - $r, Way::Right, Way::Up, Part::Face);
        }
        $lean = $r * abs($rake->slope);
        $along = $long / cos($rake->angle);
        $length = Working::start('along the rake between the side stiles', Length::ofDouble($along))->plus('its plumb ends', Length::ofDouble($lean))->roundedDown($site->terms->format);
        $less = $along + $lean - $length->result->toDouble();
        $points = $rake->slope > 0.0
            ? [new Point(0.0, 0.0), new Point($along - $less, 0.0), new Point($along + $lean - $less, $r), new Point($lean, $r)]
            : [new Point($lean, 0.0), new Point($along + $lean - $less, 0.0), new Point($along - $less, $r), new Point(0.0, $r)];
        $piece = $site->make->inner("rail-rake$number", 'Rake rail', $length, $width, Purpose::Frame, Grain::Length, [new Sawn('both ends', abs($rake->angle), ', plumb')], $how, new Outline(new Polygon($points)));
        $way = new Vector(cos($rake->angle), 0.0, sin($rake->angle));
        $up = new Vector(-sin($rake->angle), 0.0, cos($rake->angle));
        $start = new Vector($site->place->u + $from, $site->place->v, $site->place->z + $rake->off($from, -$r));
        $start = $rake->slope > 0.0 ? $start : $start->minus($way->times($lean));

        return new Placed($piece, new Pose($start->plus($way->times($less / 2)), $way, $up, Way::Out->vector()), Part::Face, $site->place->surface->id);
    }

    /** What closes the sections, flush with the trim. */
    private function fronts(SurfaceSite $site, Sections $sections, Raked $rake): Assembly
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $rv = $this->reveal;
        $gap = $rv->toDouble();
        $parts = [];
        for ($i = 0; $i < $sections->count; $i++) {
            $from = $sections->from($i);
            $width = Working::start('section', $sections->clear->result)->minusTimes('reveals', 2, $rv);
            $w = $width->roundedDown($terms->format->fine())->result->toDouble();
            $top = fn (float $x): float => $rake->off($x, -$this->rail->toDouble() - $gap) - $this->foot->toDouble() - $gap;
            $isRising = $rake->slope >= 0.0;
            $low = Working::start('to the upper rail at its low side, less reveals', Length::ofDouble($isRising ? $top($from + $gap) : $top($from + $gap + $w)))->roundedDown($terms->format->fine());
            $least = $terms->rules->either(...self::TIP);
            if ($low->result->isLessThan($least)) {
                $parts[] = new Assembly([], findings: [Finding::clash(Code::TipThin, sprintf('The low tip of the front of section %d is %s high; %s is the least.', $i + 1, $terms->write(max(0.0, $low->result->toDouble())), $terms->format->write($least)), $id)->withWaysOut([new WayOut('Leave its sections open', Edits::surface($id)->setting(['front' => SectionFront::None->value]))])]);

                continue;
            }
            $rise = Length::ofDouble($w * abs($rake->slope));
            $length = $rake->isLevel() ? $low : Working::start('low side', $low->result)->plus('it rises', $rise)->roundedUp($terms->format);
            $l = $low->result->toDouble();
            $h = $l + $rise->toDouble();
            $outline = $rake->isLevel() ? null : new Outline(new Polygon($isRising ? [new Point(0.0, 0.0), new Point($l, 0.0), new Point($h, $w), new Point(0.0, $w)] : [new Point(0.0, 0.0), new Point($h, 0.0), new Point($l, $w), new Point(0.0, $w)]));
            $works = [new Finished('all four', Finish::Eased), ...$rake->isLevel() ? [] : [new Sawn('top', abs($rake->angle), ' to the rake')]];
            $mark = 'front-'.($i + 1);
            $piece = $site->make->shaped($mark, 'Front', $length, $width->roundedDown($terms->format->fine()), Purpose::Front, $outline ?? Outline::rectangle(0.0, 0.0, $l, $w), $works, [$this->front === SectionFront::Doors ? 'hinged at its higher side' : 'held by magnets, lifted off'], $mark);
            $thick = $terms->materials->for(Purpose::Frame)->thickness->toDouble() - $piece->thickness->toDouble();
            $placed = $site->placed($piece, $from + $gap, $thick, $this->foot->toDouble() + $gap, Way::Up, Way::Right, Part::Loose);
            $parts[] = $this->front === SectionFront::Doors ? $this->hung($site, $placed, $isRising ? Hand::Right : Hand::Left, $w, $h, $l, $i + 1) : new Assembly([$placed], [], [new Hardware('magnet catch', 4, 'fronts of openings', ArticleKind::Magnet)]);
        }

        return Assembly::all(...$parts);
    }

    /** A front that turns on its higher side. */
    private function hung(SurfaceSite $site, Placed $front, Hand $hand, float $wide, float $high, float $low, int $number): Assembly
    {
        $b = $front->bounds;
        $pivot = new Vector($hand === Hand::Left ? $b->u0 : $b->u1, $b->v1, $b->z0);
        $hung = new HungLeaf($pivot, $hand, $wide, [$high, $low]);
        [$swept, $above] = $hung->swept(hypot($wide, $front->piece->thickness->toDouble()));
        $hinges = $hung->hinges($front->piece->weight()) ?? 5;

        return new Assembly([$front], [], [new Hardware('butt hinge', $hinges, 'fronts of openings', ArticleKind::ButtHinge), new Hardware('magnet catch', 1, 'fronts of openings', ArticleKind::Magnet)], movements: [
            new Movement(sprintf('Front %d of %s', $number, $site->place->mark), $site->place->surface->id, [$front->piece->key], $swept, [$above], $hung->motion(), 0.0, [new WayOut('Panels that lift off', Edits::surface($site->place->surface->id)->setting(['front' => SectionFront::Panels->value]))]),
        ]);
    }

    /** @return list<Finding> */
    private function cautions(PostsFound $found, string $id): array
    {
        return match (true) {
            $found->bearing() !== null => [Finding::warning(Code::WallMayBear, sprintf('%s carries the house: nothing is cut from it or from what it stands on, and what is fixed to it only covers it. A structural engineer says what may be done round it.', $found->bearing()), $id)],
            $this->confirmed || $found->isKnownFree() => [],
            default => [Finding::warning(Code::WallMayBear, 'Posts, stringers and studs in an opening may carry the house: nothing is cut until a structural engineer has seen it. Old boards and paint may hold asbestos or lead.', $id)
                ->withWaysOut([new WayOut('Somebody who knows looked at it', Edits::surface($id)->setting(['confirmed' => true]))])],
        };
    }
}
