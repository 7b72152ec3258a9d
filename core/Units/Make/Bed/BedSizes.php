<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Edits;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Material;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\Wood;
use Incastro\Rules\WayOut;
use Incastro\Strength\Loads;
use Incastro\Strength\Rail;
use Incastro\Strength\Slats;
use Incastro\Units\BedGuard;
use Incastro\Units\Cells\BedPlatform;
use Incastro\Units\Make\Spaced;
use Incastro\Units\Sites\CellSite;

/**
 * What is decided of a bed in its place, in order: where its deck lies, how its slats are spaced, how many rails they need under them,
 * and how many posts the rails need, by their strength under a sleeper and one person in one place.
 */
final readonly class BedSizes
{
    /** Play at the ends of slats and of the field that they lie in, mm and inches. */
    private const ENDS = [3.0, 1 / 8];

    /** A slat spans no more than this, however strong it is, mm and inches. */
    private const LONGEST_SLAT = [900.0, 36.0];

    /** A drawer under a bed is no wider than this, mm. */
    private const WIDEST_DRAWER = 1000.0;

    private const RIPPED = [89.0, 3.5];

    private const MOST_RAILS = 6;

    private const MOST_POSTS = 12;

    public float $t;

    public Material $rail;

    public Material $slat;

    public float $lw;

    public Length $lh;

    public float $ts;

    public float $zl;

    public Length $ends;

    public Spaced $slats;

    public Working $clear;

    public int $rails;

    public Working $span;

    public int $posts;

    public int $legs;

    public Working $field;

    public float $frontLongest;

    /** Where it begins from the wall behind, mm. */
    public float $back;

    public float $pu;

    public float $pv;

    public function __construct(public CellSite $site, public BedPlatform $bed, public float $deck)
    {
        $terms = $site->terms;
        $materials = $terms->materials;
        [$this->rail, $this->slat] = [$materials->for(Purpose::Rail), $materials->for(Purpose::Slat)];
        $this->t = $materials->for(Purpose::Front)->thickness->toDouble();
        $this->lw = $this->rail->thickness->toDouble();
        $this->lh = self::high($this->rail, $terms->rules);
        $this->ts = $this->slat->thickness->toDouble();
        $this->zl = $deck - $this->ts - $this->lh->toDouble();
        $this->ends = $terms->rules->either(...self::ENDS);
        $this->back = $site->cell->back + $bed->off->toDouble();
        $this->pu = $this->long()->result->toDouble();
        $this->pv = $this->deep()->result->toDouble();
        $this->slats = Spaced::over($this->long()->minusTimes('play at the ends', 2, $this->ends), $this->slatWidth(), $bed->gap, $terms->format);
        $this->clear = $this->deep()->minus('front board', $materials->for(Purpose::Front)->thickness)->minusTimes('back ledger and front rail', 2, $this->rail->thickness);
        $this->rails = $this->railsUnder();
        $this->span = $this->spanWith($this->rails);
        $inner = $this->pv - $this->t;
        $share = fn (float $before): float => ($before + $this->lw) / max(1.0, $inner);
        $this->frontLongest = $this->beam($share($this->span->result->toDouble() / 2))->longest();
        $this->posts = $this->postsFor($this->frontLongest);
        $centre = $this->beam($share($this->span->result->toDouble()))->longest();
        $this->legs = $this->rails === 0 ? 0 : ($bed->drawers ? $this->posts - 2 : $this->legsFor($centre));
        $this->field = $this->long()->minusTimes('posts', $this->posts, $this->lh)->dividedBy('fields', $this->posts - 1);
    }

    /** How wide a board stands or lies as it is bought; one that is ripped from a sheet, as usual. */
    public static function high(Material $material, HouseRules $rules): Length
    {
        return $material instanceof Lineal ? $material->width : $rules->either(...self::RIPPED);
    }

    public function long(): Working
    {
        $long = Working::start('clear width', $this->site->cell->width->result);

        return ($this->bed->canopy ? $long->minusTimes('end panels', 2, $this->site->terms->materials->carcass->thickness) : $long)->roundedDown($this->site->terms->format);
    }

    /** Where it begins along the run: inside the end panels of a canopy, mm. */
    public function from(): float
    {
        return $this->site->cell->u + ($this->bed->canopy ? $this->site->terms->board() : 0.0);
    }

    /** From the wall behind to the face of its front board. */
    public function deep(): Working
    {
        $deep = Working::start('depth of its place', Length::ofDouble($this->site->cell->face - $this->site->cell->back));

        return ($this->bed->off->isZero() ? $deep : $deep->minus('off the wall behind', $this->bed->off))->roundedDown($this->site->terms->format);
    }

    public function slatWidth(): Length
    {
        return self::high($this->slat, $this->site->terms->rules);
    }

    /** Front of the front rail, from the back, mm. */
    public function front(): float
    {
        return $this->pv - $this->t;
    }

    /** What is free for the mattress from the back: before the front board, or inside the rails of a guard, mm. */
    public function freeDeep(): float
    {
        return $this->bed->guard === BedGuard::None ? $this->front() : $this->pv - max($this->t, $this->lw);
    }

    public function lying(): Lying
    {
        [$wide, $long] = $this->bed->mattressSize();
        [$u, $v] = $this->bed->across ? [$wide, $long] : [$long, $wide];
        $cell = $this->site->cell;
        $tier = Edits::tier($cell->tier->id);

        return new Lying($this->site->run, $this->site->terms, $cell->tier->id, $tier, $this->from(), $this->pu, $this->back, $this->freeDeep(), $cell->face, $this->deck, $u, $v, $this->bed->thickness, $this->bed->play, $this->bed->across, new WayOut('Leave an open gap instead', $tier->emptied()));
    }

    /** @return list<float> where the centre rails begin, from the back, mm */
    public function railPlaces(): array
    {
        $span = $this->span->result->toDouble();

        return array_map(fn (int $i) => $this->lw + ($i + 1) * $span + $i * $this->lw, $this->rails === 0 ? [] : range(0, $this->rails - 1));
    }

    /** Where a post begins, from the left, mm. */
    public function postAt(int $i): float
    {
        return $i * ($this->pu - $this->lh->toDouble()) / ($this->posts - 1);
    }

    /** Whether its centre rails hold from leg to leg. */
    public function railsHold(): bool
    {
        return $this->rails === 0 || $this->legSpan($this->legs) <= $this->beam(($this->span->result->toDouble() + $this->lw) / max(1.0, $this->front()))->longest() + 1e-6;
    }

    public function slatStress(): float
    {
        return $this->strength()->stress($this->ts, $this->span->result->toDouble());
    }

    private function strength(): Slats
    {
        [$wide, $long] = $this->bed->mattressSize();
        $wood = ($this->slat->wood ?? Wood::Pine)->strength();

        return new Slats($this->slatWidth()->toDouble(), $this->slats->gap->result->toDouble(), $long->toDouble(), $wide->toDouble(), $this->bed->thickness->toDouble(), $wood->bendingAlong);
    }

    /** As many as their slats need. */
    private function railsUnder(): int
    {
        $most = min($this->strength()->longestSpan($this->ts), $this->site->terms->rules->either(...self::LONGEST_SLAT)->toDouble());
        for ($rails = 0; $rails < self::MOST_RAILS && $this->spanWith($rails)->result->toDouble() > $most; $rails++);

        return $rails;
    }

    private function spanWith(int $rails): Working
    {
        return $this->clear->minusTimes('centre rails', $rails, $this->rail->thickness)->dividedBy('spans', $rails + 1);
    }

    private function beam(float $share): Rail
    {
        $wood = ($this->rail->wood ?? Wood::Pine)->strength();

        return new Rail($this->lw, $this->lh->toDouble(), $wood->along, $wood->bendingAlong, $share * Loads::newtons(Loads::BED) / max(1.0, $this->pu));
    }

    private function postsFor(float $longest): int
    {
        $most = $this->bed->drawers ? min($longest, self::WIDEST_DRAWER) : $longest;
        for ($posts = 2; $posts < self::MOST_POSTS && ($this->pu - $posts * $this->lh->toDouble()) / ($posts - 1) > $most; $posts++);

        return $posts;
    }

    private function legsFor(float $longest): int
    {
        for ($legs = 0; $legs < self::MOST_POSTS && $this->legSpan($legs) > $longest; $legs++);

        return $legs;
    }

    private function legSpan(int $legs): float
    {
        return ($this->pu - 2 * $this->lw - $legs * $this->lh->toDouble()) / ($legs + 1);
    }
}
