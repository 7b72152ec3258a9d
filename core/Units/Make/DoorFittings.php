<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Schools\Mount;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\HingeKind;
use Incastro\Units\Part;
use Incastro\Units\Pull;
use Incastro\Units\Sites\OpeningSite;

/**
 * What a door hangs on, is held shut and stopped by: hinges by their kind, with the arm and the plate that bring a concealed one to
 * its lap; push latches or magnets; and stops behind the free edge of an inset leaf whose hinges have none.
 */
final readonly class DoorFittings
{
    /** How a concealed hinge laps by its arm, with 5 mm beside its cup and no plate, mm: typical of makers' sheets. */
    private const ARMS = ['straight' => 18.0, 'half cranked' => 9.0];

    private const INSET_ARM = 0.0;

    private const PLATES = [0, 2, 4, 6];

    /** What the screw at a hinge's side moves it, mm. */
    private const ADJUSTS = 2.0;

    /** A leaf higher than this has two push latches, or two magnets, mm. */
    private const TWO_LATCHES = 1200.0;

    private const TWO_MAGNETS = 900.0;

    /** A stop's height over the edge of the opening that hides its foot, and its width; mm. */
    private const STOP_OVER = 25.0;

    private const STOP_WIDE = [20.0, 3 / 4];

    public function __construct(private OpeningSite $site, private Mount $mount, private HingeKind $kind, private Pull $pull)
    {
    }

    /**
     * @param  Length  $lap  over the edge that it hangs at, less than 0 where it stands inside
     * @return list<Hardware>
     */
    public function hardware(MadeLeaf $made, Hand $hand, int $hinges, Length $lap): array
    {
        $format = $this->site->terms->format;
        $high = $made->height($hand);
        $hinge = match ($this->kind) {
            HingeKind::Concealed => new Hardware($this->concealed($lap), $hinges, 'doors', ArticleKind::Hinge),
            HingeKind::Butt => new Hardware('butt hinge '.$format->write(HingeMarks::butt($high, $this->site->terms->rules)), $hinges, 'doors', ArticleKind::ButtHinge),
            HingeKind::Piano => new Hardware('piano hinge '.$format->write($long = Length::ofDouble($high)->minus($this->site->terms->rules->either(10, 3 / 8))->roundedDown($format->step)), 1, 'doors', ArticleKind::PianoHinge, $long),
        };

        return [
            $hinge,
            ...($this->mount === Mount::Overlay ? [new Hardware('bumper', 2, 'doors', ArticleKind::Bumper)] : []),
            ...$this->pull->bought($this->pull === Pull::None && $high > self::TWO_LATCHES ? 2 : 1, 'doors'),
            ...($this->kind !== HingeKind::Concealed && $this->pull !== Pull::None ? [new Hardware('magnet catch', $high > self::TWO_MAGNETS ? 2 : 1, 'doors', ArticleKind::Magnet)] : []),
        ];
    }

    private function concealed(Length $lap): string
    {
        $name = match (true) {
            $this->mount === Mount::Lipped => 'concealed hinge for a lipped leaf',
            ! $this->site->terms->frame()->isZero() => $this->mount === Mount::Inset ? 'concealed hinge for a face frame' : 'concealed hinge for a leaf over a face frame',
            default => $this->mount === Mount::Inset ? 'concealed hinge for an inset leaf' : 'concealed hinge for a leaf over its board',
        };
        $plate = $this->plate($lap->toDouble());
        $name = $this->pull === Pull::None ? "$name, without spring" : $name;

        return $plate === null ? $name : sprintf('%s, %s, plate of %d mm', $name, $plate[0], $plate[1]);
    }

    /**
     * The arm and the plate of a concealed hinge on a board that come nearest to a lap.
     *
     * @param  float  $lap  mm
     * @return array{string, int, float}|null the arm, the plate and what is left to its screw, mm; null on a frame or behind a lip, where the hinge is made for it
     */
    public function plate(float $lap): ?array
    {
        if (! $this->site->terms->frame()->isZero() || $this->mount === Mount::Lipped) {
            return null;
        }
        $best = null;
        foreach ($this->mount === Mount::Inset ? ['fully cranked' => self::INSET_ARM] : self::ARMS as $arm => $reach) {
            foreach (self::PLATES as $plate) {
                $rest = abs($reach - $lap - $plate);
                $best = $best === null || $rest < $best[2] ? [$arm, $plate, $rest] : $best;
            }
        }

        return $best;
    }

    /** How much a hinge's screw is short of a lap, mm; less than 0 where it reaches it. */
    public function short(float $lap): float
    {
        return $this->kind === HingeKind::Concealed ? ($this->plate($lap)[2] ?? 0.0) - self::ADJUSTS : -self::ADJUSTS;
    }

    /**
     * Stops behind the free edges of inset leaves: one on the board below and, where nothing slopes, one under the board above.
     *
     * @param  non-empty-list<float>  $at  x of the middle of each, mm
     * @param  float  $back  where the back of the leaf is; y, mm
     */
    public function stops(array $at, float $back): Assembly
    {
        $site = $this->site;
        $wide = $site->terms->rules->either(...self::STOP_WIDE);
        [, , $below, $above] = $site->frame();
        // A frame that is thicker than the leaf stands before it: what is between is packed.
        $y = min($back, $site->face() - $site->terms->frame()->toDouble()) - $site->terms->board();
        $head = $site->height()->result->toDouble();
        $isLevel = abs($site->upper(0.0) - $site->upper($site->width()->result->toDouble())) < 1e-6;
        $placed = [];
        foreach ($at as $i => $x) {
            foreach ($isLevel ? ['foot' => $below, 'head' => $above] : ['foot' => $below] as $end => $hidden) {
                $role = "door-stop-$end".(count($at) === 1 ? '' : '-'.($i + 1));
                $high = Working::start('over the edge of the opening', Length::ofDouble($hidden + self::STOP_OVER));
                $piece = $site->make->inner($role, 'Stop', $high, Working::start('width of a stop', $wide), Purpose::Carcass, Grain::Any, [], ['screwed where the closed leaf meets it'], null, $site->mark($role));
                $long = $piece->length->result->toDouble();
                $placed[] = $site->placed($piece, $x - $piece->width->result->toDouble() / 2, $y, $end === 'foot' ? 0.0 : $head - $long, Way::Up, Way::Right, Way::Out, Part::Cleat);
            }
        }

        return new Assembly($placed);
    }
}
