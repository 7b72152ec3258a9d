<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Fit\Holds\GoesOnLast;
use Incastro\Geometry\Block;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A rail with coat hooks at equal distances, screwed to the studs behind it; where children hang theirs up, a second one lower down,
 * its hooks half a pitch aside. Lr = W − 2·u0, n = ⌊(Lr − 2·e)/pitch⌋ + 1 hooks, the lower rail one fewer.
 */
#[About('hook-rail', 'Hook rail', 'A board with coat hooks on studs, in one row or two.', 'On a wall', 'R')]
final readonly class HookRail implements SurfaceUnit, GoesOnLast, AsksOfRoom
{
    /** A stud's screws are spread where a hook's own screw comes this near, mm. */
    private const NEAR = 25.0;

    /** Coats on the lower rail hang clear of the upper one’s, mm and inches. */
    private const APART = [350.0, 14.0];

    /** Two screws at a stud lie so far above and below the rail's middle, of its height: usually, and spread. */
    private const SPREAD = [1 / 3, 0.4];

    public function __construct(
        #[Size('Short of each side', ['20', '3/4'], 0, 300)] public Length $short,
        #[Size('Height of the rail', ['90', '3 1/2'], 60, 150)] public Length $rail,
        #[Size('End to the first hook', ['75', '3'], 40, 150)] public Length $end,
        #[Size('From hook to hook, about', ['175', '7'], 100, 300)] public Length $pitch,
        #[Size('Middle of the rail over the floor', ['1650', '66'], 800, 2000)] public Length $upper,
        #[Toggle('A second rail lower down', false, 'For children: one hook fewer, half a pitch aside.')] public bool $two,
        #[Size('Middle of the lower rail', ['1150', '45'], 450, 1650)]
        #[When('two', true)]
        public Length $lower,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Walls;
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $least = $this->short->plus($this->end)->times(2)->plus($rules->either(100, 4));

        return new SurfaceDemand(Extent::atLeast($least, 'two hooks and the ends of their rail need %s'), Extent::atLeast($this->rail, 'a hook rail is %s high'), $materials->for(Purpose::Frame)->thickness);
    }

    public function build(SurfaceSite $site): Assembly
    {
        $long = $site->place->width->minusTimes('short of each side', 2, $this->short)->roundedDown($site->terms->format);
        $hooks = $this->hooks($long);
        $pitch = $long->minusTimes('end to the first hook', 2, $this->end)->dividedBy(sprintf('%d spaces', count($hooks) - 1), count($hooks) - 1);
        $rows = [[1, 'Hook rail', $this->upper, $hooks]];
        $isApart = $this->upper->minus($this->lower)->toDouble() >= $site->terms->rules->either(...self::APART)->toDouble();
        if ($this->two && $isApart) {
            $rows[] = [2, 'Hook rail, lower', $this->lower, self::between($hooks)];
        }
        $placed = $findings = $hardware = [];
        if ($this->two && ! $isApart) {
            $findings[] = Finding::clash(Code::RailNowhere, sprintf('The lower rail of %s lies less than %s under the upper one.', $site->place->mark, $site->terms->format->write($site->terms->rules->either(...self::APART))), $site->place->surface->id)
                ->withWaysOut([new WayOut('One rail alone', Edits::surface($site->place->surface->id)->setting(['two' => false]))]);
        }
        foreach ($rows as [$row, $name, $middle, $along]) {
            $z = $middle->toDouble() - $this->rail->toDouble() / 2 - $site->place->z;
            if ($z < -1e-6 || $z + $this->rail->toDouble() > $site->place->height->result->toDouble() + 1e-6) {
                $findings[] = Finding::clash(Code::RailNowhere, sprintf('%s %s is at %s, and its part of the wall reaches from %s to %s.', $name, $site->place->mark, $site->terms->format->write($middle), $site->terms->write($site->place->z), $site->terms->write($site->place->z + $site->place->height->result->toDouble())), $site->place->surface->id)
                    ->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($site->place->surface->id))]);
                continue;
            }
            $piece = $site->make->inner("rail-$row", $name, $long, Working::start('height of the rail', $this->rail), Purpose::Frame, Grain::Length, [new Finished('all four', Finish::Eased)], [sprintf('two screws at each stud, plugged; hooks at %s', $this->places($site, $along)), ...$this->screwed($site, $long, $along)]);
            $rail = $site->placed($piece, ($site->place->width->result->toDouble() - $piece->length->result->toDouble()) / 2, 0.0, $z, Way::Right, Way::Up, Part::Face);
            $placed[] = $rail;
            [$fixed, $found] = $this->fixed($site, $rail);
            array_push($hardware, ...$fixed, ...[new Hardware('coat hook', count($along), 'hook rails', ArticleKind::Hook)]);
            $findings = [...$findings, ...$row === 1 ? $found : []];
        }

        return new Assembly($placed, [], $hardware, ['Hooks apart, '.$site->place->mark => $pitch], $findings);
    }

    /**
     * Where the hooks are, from the rail's left end.
     *
     * @return non-empty-list<float> mm; two at least
     */
    public function hooks(Working $long): array
    {
        $between = $long->result->toDouble() - 2 * $this->end->toDouble();
        $spaces = max(1, (int) floor($between / $this->pitch->toDouble() + 1e-9));

        return array_map(fn (int $i): float => $this->end->toDouble() + $i * $between / $spaces, range(0, $spaces));
    }

    /**
     * @param  non-empty-list<float>  $hooks
     * @return list<float> in the middle between each two
     */
    public static function between(array $hooks): array
    {
        return array_map(fn (float $left, float $right): float => ($left + $right) / 2, array_slice($hooks, 0, -1), array_slice($hooks, 1));
    }

    /** @param list<float> $along */
    private function places(SurfaceSite $site, array $along): string
    {
        return implode(', ', array_map($site->terms->write(...), $along));
    }

    /**
     * What holds the rail, and whether enough does.
     *
     * @return array{list<Hardware>, list<Finding>}
     */
    private function fixed(SurfaceSite $site, Placed $rail): array
    {
        $screws = new Screws($site->terms->materials, $site->terms->format);
        $studs = $site->studs();
        $id = $site->place->surface->id;
        $masonry = $site->masonry();
        if ($masonry !== null) {
            return [$screws->plugged($rail->piece->thickness->toDouble(), 2 * $site->plugs($rail->piece->length->result), $masonry, 'hook rails'), []];
        }
        if ($studs === []) {
            return [[$screws->toStuds($rail->piece, 'hook rails')->times(2 * $screws->toStuds($rail->piece, '')->quantity)], [Finding::note(Code::NoStud, 'Find the studs first and note them: the rail is screwed to two at least; on masonry it takes plugs at both ends and no more than 600 mm or 24 in apart.', $id)]];
        }
        $behind = array_values(array_filter($studs, fn (Block $stud) => $stud->u1 > $rail->bounds->u0 && $stud->u0 < $rail->bounds->u1));
        $screw = $screws->toStudsPast($rail->piece->thickness->toDouble(), 2 * max(1, count($behind)), 'hook rails');
        if (count($behind) >= 2) {
            return [[$screw], []];
        }

        return [[$screw], [Finding::clash(Code::RailOneStud, sprintf('%s stud is behind the rail %s, and it hangs on two at least.', $behind === [] ? 'No' : 'Only one', $site->place->mark), $id)
            ->withWaysOut([new WayOut('Let it reach to both sides', Edits::surface($id)->setting(['short' => ['nm' => 0, 'typed' => '0']])), new WayOut('Take it away', Edits::withoutSurface($id))])]];
    }

    /**
     * Where the screws of each noted stud are, from the rail's left end and from its middle: spread where a hook's own screw would meet them.
     *
     * @param  list<float>  $hooks
     * @return list<string>
     */
    private function screwed(SurfaceSite $site, Working $long, array $hooks): array
    {
        $from = $site->place->u + ($site->place->width->result->toDouble() - $long->result->toDouble()) / 2;
        $words = [];
        foreach ($site->studs() as $stud) {
            $at = ($stud->u0 + $stud->u1) / 2 - $from;
            if ($at > 0.0 && $at < $long->result->toDouble()) {
                $words[] = sprintf('screws at %s, %s over and under the middle', $site->terms->write($at), $site->terms->write(self::spread($at, $hooks) * $this->rail->toDouble()));
            }
        }

        return $words;
    }

    /**
     * This part of the rail's height over and under its middle.
     *
     * @param  list<float>  $hooks
     */
    private static function spread(float $at, array $hooks): float
    {
        return self::SPREAD[array_filter($hooks, fn (float $hook) => abs($hook - $at) < self::NEAR) === [] ? 0 : 1];
    }
}
