<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Fit\Box;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\AirHoles;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Screws;
use Incastro\Units\Options\ReadyMade;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * A deck of sheets that lies on a ledger at the wall behind and on a row of boxes at the front, a bearer under every joint: n = ⌈P/most⌉
 * panels, each (P − 2·e − (n − 1)·g)/n wide. Over bought cabinets it lies on two rails laid flat, which bring its load to their sides.
 */
final readonly class RowDeck
{
    /** A panel is no wider, so that one person lifts it through a door; mm and inches. */
    public const WIDEST = [1200.0, 48.0];

    /** A panel that spans more than this from ledger to box gets bearers that are no further apart, mm and inches. */
    private const ACROSS = [600.0, 24.0];

    /** Boxes whose backs stand no further from the wall than this carry a deck alone, mm. */
    private const AT_WALL = 60.0;

    private float $bearer;

    private Length $high;

    private Working $wide;

    private int $count;

    private bool $isBridging;

    /**
     * @param  non-empty-list<Box>  $boxes  from the left
     * @param  Length  $play  at the walls and between panels
     * @param  list<AirHoles>  $holes
     */
    public function __construct(private MemberSite $site, private Over $top, private array $boxes, private bool $isOnRails, private Length $play, private array $holes)
    {
        $materials = $site->terms->materials;
        $rail = $materials->for(Purpose::Rail);
        $this->isBridging = self::bridges($top, $boxes);
        $this->bearer = $rail->thickness->toDouble();
        $this->high = BedSizes::high($rail, $site->terms->rules);
        $this->count = max(1, (int) ceil($top->length->result->toDouble() / $site->terms->rules->either(...self::WIDEST)->toDouble() - 1e-9));
        $wide = $top->length->minusTimes('play at the walls', 2, $play);
        $wide = $this->count === 1 ? $wide : $wide->minusTimes('gaps between panels', $this->count - 1, $play)->dividedBy('panels', $this->count);
        $this->wide = $wide->roundedDown($site->terms->format);
    }

    /**
     * Whether the boxes under a deck leave room behind them that it must bridge.
     *
     * @param  list<Box>  $boxes
     */
    public static function bridges(Over $top, array $boxes): bool
    {
        return $boxes !== [] && max(array_map(fn (Box $box) => $box->v, $boxes)) - $top->v > self::AT_WALL;
    }

    /** Whether it can: every box of its row stands at the front, and the wall behind carries a ledger. */
    public function isCarried(): bool
    {
        return ! $this->isBridging || ($this->top->meetsBack && $this->rear() - $this->top->v > self::AT_WALL + $this->bearer);
    }

    /** Underside of its sheets over the datum, mm. */
    public function foot(): float
    {
        return $this->top->z + ($this->isOnRails ? $this->bearer : 0.0);
    }

    public function build(): Assembly
    {
        $terms = $this->site->terms;
        $rails = $this->isOnRails ? $this->rails() : [];
        $bridge = $this->isBridging ? [$this->ledger(), ...$this->bearers()] : [];
        $joints = array_map(fn (Placed $bearer) => new Joint($bridge[0]->piece->key, $bearer->piece->key, JointKind::Butt, 'beds'), array_slice($bridge, 1));
        $deep = Working::start('from the wall behind to its front', $this->top->depth->result)->minus('front board', $terms->materials->for(Purpose::Front)->thickness)->minusTimes('play', 2, $this->play);
        $panels = [];
        foreach ($this->cuts() as $i => [$from, $to]) {
            $piece = $this->site->make->inner('panel-'.($i + 1), 'Deck', $deep, $this->wide, Purpose::Top, Grain::Length, $this->holes, ['screwed down to its bearers']);
            $panels[] = $this->placed($piece, $from, $this->top->v + $this->play->toDouble(), $this->foot(), Way::Out, Way::Right, Way::Up, Part::Worktop);
            foreach ([...$bridge, ...$rails] as $under) {
                $meets = $under->bounds->u0 < $to - 1.0 && $under->bounds->u1 > $from + 1.0;
                $joints = $meets ? [...$joints, new Joint($piece->key, $under->piece->key, JointKind::Screws, 'decks of beds')] : $joints;
            }
            foreach ($this->isOnRails ? [] : $this->boxes as $box) {
                $meets = $box->u < $to - 1.0 && $box->right() > $from + 1.0;
                $joints = $meets ? [...$joints, new Joint($piece->key, $box->id.':top', JointKind::Screws, 'decks of beds')] : $joints;
            }
        }

        return new Assembly([...$bridge, ...$rails, ...$panels], $joints, $this->hardware($rails, max(0, count($bridge) - 1)), $this->isBridging ? ['Clear between ledger and boxes' => $this->clear()] : []);
    }

    private function ledger(): Placed
    {
        return $this->placed($this->framing('back-ledger', 'Back ledger', $this->top->length->roundedDown($this->site->terms->format), 'into every stud, level'), $this->top->u, $this->top->v, $this->foot() - $this->high->toDouble(), Way::Right, Way::Up, Way::Out, Part::Cleat);
    }

    /** @return list<Placed> under every joint, and within panels that span too far */
    private function bearers(): array
    {
        $fixed = $this->isOnRails ? 'in hangers on the ledger, and through a block under the rear rail' : 'in hangers on the ledger and on the nailer of the box';
        $bearers = [];
        foreach ($this->bearerPlaces() as $i => $middle) {
            $piece = $this->framing('cross-bearer-'.($i + 1), 'Bearer', $this->clear()->roundedDown($this->site->terms->format), $fixed);
            $bearers[] = $this->placed($piece, $middle - $this->bearer / 2, $this->top->v + $this->bearer, $this->foot() - $this->high->toDouble(), Way::Out, Way::Up, Way::Right);
        }

        return $bearers;
    }

    /**
     * From where to where each panel goes; what rounding leaves over stands at both ends.
     *
     * @return list<array{float, float}>
     */
    private function cuts(): array
    {
        $wide = $this->wide->result->toDouble();
        $gap = $this->play->toDouble();
        $left = $this->top->u + ($this->top->length->result->toDouble() - $this->count * $wide - ($this->count - 1) * $gap) / 2;

        return array_map(fn (int $i) => [$left + $i * ($wide + $gap), $left + $i * ($wide + $gap) + $wide], range(0, $this->count - 1));
    }

    /** Behind the boxes, mm from the wall behind. */
    private function rear(): float
    {
        return min(array_map(fn (Box $box) => $box->v, $this->boxes));
    }

    private function clear(): Working
    {
        return Working::start('behind its boxes', Length::ofDouble($this->rear() - $this->top->v))->minus('ledger', Length::ofDouble($this->bearer));
    }

    /** Of its sheets: from the ledger to its boxes, or between bearers where these are nearer; over rails, from rail to rail; mm. */
    public function span(): float
    {
        $behind = $this->isBridging ? min($this->clear()->result->toDouble(), $this->between()) : 0.0;
        $onRails = $this->isOnRails ? max(array_map(fn (Box $box) => $box->outerDepth()->toDouble(), $this->boxes)) - 2 * $this->high->toDouble() : 0.0;

        return max($behind, $onRails);
    }

    /** From bearer to bearer, mm. */
    private function between(): float
    {
        return ($this->wide->result->toDouble() + $this->play->toDouble()) / $this->fields();
    }

    /** Into how many fields bearers divide a panel. */
    private function fields(): int
    {
        $most = $this->site->terms->rules->either(...self::ACROSS)->toDouble();

        return $this->clear()->result->toDouble() <= $most ? 1 : (int) ceil(($this->wide->result->toDouble() + $this->play->toDouble()) / $most);
    }

    /** @return list<float> the middle of each bearer */
    private function bearerPlaces(): array
    {
        $places = [];
        foreach ($this->cuts() as $i => [$from, $to]) {
            for ($k = 1; $k < $this->fields(); $k++) {
                $places[] = $from + ($to - $from) * $k / $this->fields();
            }
            if ($i < $this->count - 1) {
                $places[] = $to + $this->play->toDouble() / 2;
            }
        }

        return $places;
    }

    /** @return list<Placed> laid flat over the sides of bought cabinets: one behind, one at their face */
    private function rails(): array
    {
        $wide = $this->high->toDouble();
        $places = [];
        foreach (['rear' => $this->rear(), 'front' => $this->boxes[0]->face() - $wide] as $role => $v) {
            $places[] = $this->placed($this->framing("cabinet-rail-$role", 'Rail on the cabinets', $this->top->length->roundedDown($this->site->terms->format), 'over the cabinets’ sides, screwed up from inside; shims below'), $this->top->u, $v, $this->top->z, Way::Right, Way::Out, Way::Up);
        }

        return $places;
    }

    private function framing(string $role, string $name, Working $length, string $joint): Piece
    {
        return $this->site->make->inner($role, $name, $length, Working::start('as it is bought', $this->high), Purpose::Rail, Grain::Length, [], [$joint]);
    }

    private function placed(Piece $piece, float $u, float $v, float $z, Way $length, Way $width, Way $thickness, Part $part = Part::Body): Placed
    {
        return new Placed($piece, Pose::at($u, $v, $z, $length, $width, $thickness), $part, $this->top->id);
    }

    /**
     * @param  list<Placed>  $rails
     * @return list<Hardware>
     */
    private function hardware(array $rails, int $bearers): array
    {
        $screws = new Screws($this->site->terms->materials, $this->site->terms->format);
        $long = $this->top->length->result->toDouble();
        $share = ($this->clear()->result->toDouble() / 2 + $this->bearer) / max(1.0, $this->top->depth->result->toDouble());
        $hardware = $this->isBridging ? [(new LedgerScrews($this->site->terms, $share, $long))->of($this->bearer, $long)] : [];
        foreach ($rails as $rail) {
            $sides = array_filter(array_map(fn (Box $box) => $box->option(ReadyMade::class)?->side->toDouble(), $this->boxes));
            $hardware[] = $screws->throughBack($rail->piece, $this->bearer + ($sides === [] ? $this->site->terms->board() : min($sides)), 'rails of beds to cabinets');
        }

        return $bearers === 0 ? $hardware : [...$hardware, new Hardware('angle bracket', 2 * $bearers, 'bearers of beds', ArticleKind::AngleBracket)];
    }
}
