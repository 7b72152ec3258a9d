<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * A ladder before the front board of a bed: equal rises, treads in housings of two stiles whose feet and heads are cut level; one stile
 * goes on 600 mm or 24 in over the deck, to hold on to.
 */
final readonly class BedLadder
{
    /** Its slope from level, degrees. */
    private const SLOPE = 70.0;

    /** Clear between its stiles, mm and inches. */
    private const CLEAR = [310.0, 12.0];

    /** The largest rise. */
    private const RISE = [250.0, 10.0];

    private const HOUSED = [12.0, 0.5];

    private const HOLD = [600.0, 24.0];

    private const PLAY = [10.0, 0.25];

    public function __construct(private BedSizes $sizes)
    {
    }

    /** The way in that it takes: its clear width, two stiles and play, mm. */
    public function entry(): float
    {
        return $this->is(self::CLEAR)->toDouble() + 2 * $this->sizes->lw + $this->is(self::PLAY)->toDouble();
    }

    /** How far its foot stands before the front board, mm. */
    public function foot(): float
    {
        return $this->sizes->deck / tan(deg2rad(self::SLOPE)) + $this->sizes->lh->toDouble() / sin(deg2rad(self::SLOPE)) + $this->off();
    }

    /** @param float $x where the way in begins, from the left of the bed, mm */
    public function build(float $x): Assembly
    {
        $s = $this->sizes;
        $angle = deg2rad(self::SLOPE);
        $wide = $s->lh->toDouble();
        $rises = max(2, (int) ceil($s->deck / $this->is(self::RISE)->toDouble() - 1e-9));
        $rise = $s->deck / $rises;
        $from = $x + $this->is(self::PLAY)->toDouble() / 2;
        $between = $this->is(self::CLEAR)->toDouble();
        $stiles = [
            $this->stile('L', $from, $s->deck),
            $this->stile('R', $from + $s->lw + $between, $s->deck + $this->is(self::HOLD)->toDouble()),
        ];
        $housed = $this->is(self::HOUSED)->toDouble();
        $treads = $joints = [];
        $cell = $s->site->cell;
        for ($k = 1; $k < $rises; $k++) {
            $piece = $s->site->make->inner("tread-$k", 'Tread', Working::start('clear between the stiles', $this->is(self::CLEAR))->plusTimes('into the stiles', 2, $this->is(self::HOUSED)), Working::start('as it is bought', $s->lh), Purpose::Rail, Grain::Length, [], ['housed in the stiles, two screws at each end']);
            $front = $this->foot() - $k * $rise / tan($angle);
            $treads[] = $tread = new Placed($piece, Pose::at($s->from() + $from + $s->lw - $housed, $s->back + $s->pv + $front - $wide, $k * $rise - $s->lw, Way::Right, Way::Out, Way::Up), Part::Body, $cell->tier->id);
            foreach ($stiles as $stile) {
                $joints[] = new Joint($tread->piece->key, $stile->piece->key, JointKind::Dado, 'treads', $housed);
            }
        }

        return new Assembly([...$stiles, ...$treads], $joints, [
            new Hardware('angle bracket', 2, 'ladder to the front rail', ArticleKind::AngleBracket),
            new Hardware('rubber foot', 2, 'ladder', ArticleKind::Bumper),
        ], ['Rise of the ladder' => Working::start('from the floor to the deck', Length::ofDouble($s->deck))->dividedBy('equal rises', $rises)]);
    }

    /** Foot and head cut level: an outline along the stile, its blank to the long points. */
    private function stile(string $hand, float $x, float $high): Placed
    {
        $s = $this->sizes;
        $angle = deg2rad(self::SLOPE);
        $wide = $s->lh->toDouble();
        $slant = Length::ofDouble($high / sin($angle));
        $length = Working::start('height over its sine', $slant)->plus('to the long points', Length::ofDouble($wide / tan($angle)))->roundedUp($s->site->terms->format);
        $end = $wide / tan($angle);
        $up = $high / sin($angle);
        // Along it from its foot, and across it from its rear edge: the rear edge is cut shorter at the foot.
        $outline = new Outline(new Polygon([new Point($end, 0.0), new Point($end + $up, 0.0), new Point($up, $wide), new Point(0.0, $wide)]));
        $piece = $s->site->make->shaped("stile-$hand", 'Ladder stile', $length, Working::start('as it is bought', $s->lh), Purpose::Rail, $outline, [new Sawn('foot and head', M_PI / 2 - $angle, ', level')], ['treads in housings'], "stile-$hand");
        $cell = $s->site->cell;
        // It leans to the bed: along it one goes in as one goes up.
        $along = new Vector(0.0, -cos($angle), sin($angle));
        $across = new Vector(0.0, sin($angle), cos($angle));
        $foot = new Vector($s->from() + $x, $s->back + $s->pv + $this->foot(), 0.0);
        // The foot is the front lower corner, at 0 along and the whole width across.
        $corner = $foot->minus($across->times($wide));

        return new Placed($piece, new Pose($corner, $along, $across, Way::Right->vector()), Part::Body, $cell->tier->id);
    }

    /** Off the front board, so that it passes what that stands over the deck, mm. */
    private function off(): float
    {
        return $this->sizes->bed->lip->toDouble() / tan(deg2rad(self::SLOPE));
    }

    /** @param array{float, float} $size */
    private function is(array $size): Length
    {
        return $this->sizes->site->terms->rules->either(...$size);
    }
}
