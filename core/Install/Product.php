<?php

declare(strict_types=1);

namespace Incastro\Install;

/** What dries, up to the moment that something else waits for: usual times from tins, at 20 °C and 50 %. */
enum Product: string
{
    case GlueClamps = 'wood-glue-clamps';
    case GlueLoad = 'wood-glue-load';
    case Adhesive = 'construction-adhesive';
    case Filler = 'filler';
    case TwoPartFiller = 'two-part-filler';
    case PrimerWater = 'primer-water';
    case PrimerSolvent = 'primer-solvent';
    case PrimerShellac = 'primer-shellac';
    case Caulk = 'caulk';
    case PaintCoat = 'paint-water-coat';
    case PaintHang = 'paint-water-hang';
    case PaintLoad = 'paint-water-load';
    case SolventCoat = 'paint-solvent-coat';
    case SolventHang = 'paint-solvent-hang';
    case SolventLoad = 'paint-solvent-load';
    case VarnishWater = 'varnish-water';
    case VarnishOil = 'varnish-oil';
    case Levelling = 'levelling-compound';
    case Plaster = 'plaster';

    /** Times of filler and plaster are for so much of it, mm. */
    public const DEPTH = 3.0;

    public function hours(): float
    {
        return match ($this) {
            self::GlueClamps => 1.0,
            self::GlueLoad, self::Adhesive, self::VarnishOil, self::Levelling, self::Plaster, self::PaintHang => 24.0,
            self::Filler, self::Caulk => 2.0,
            self::TwoPartFiller => 0.5,
            self::PrimerWater, self::PaintCoat => 4.0,
            self::PrimerSolvent => 12.0,
            self::PrimerShellac => 0.75,
            self::PaintLoad => 72.0,
            self::SolventCoat => 16.0,
            self::SolventHang => 48.0,
            self::SolventLoad => 96.0,
            self::VarnishWater => 3.0,
        };
    }

    public function water(): Water
    {
        return match ($this) {
            self::GlueClamps, self::GlueLoad => Water::Half,
            self::Adhesive, self::TwoPartFiller, self::PrimerSolvent, self::PrimerShellac, self::SolventCoat, self::SolventHang, self::SolventLoad, self::VarnishOil => Water::None,
            default => Water::All,
        };
    }

    /** Whether twice as much of it takes twice as long. */
    public function isByDepth(): bool
    {
        return $this === self::Filler || $this === self::Plaster;
    }

    /** @return int seconds in this air; of filler and plaster for this depth, mm */
    public function seconds(Climate $climate, ?float $hours = null, float $depth = self::DEPTH): int
    {
        return (int) round(3600.0 * ($hours ?? $this->hours()) * ($this->isByDepth() ? $depth / self::DEPTH : 1.0) * $climate->factor($this->water()));
    }

    /** The same paint, up to the moment at which doors may be hung. */
    public function toHang(): self
    {
        return match ($this) {
            self::PaintCoat => self::PaintHang,
            self::SolventCoat => self::SolventHang,
            default => $this,
        };
    }

    /** The same, up to the moment at which it may be loaded and shut. */
    public function toLoad(): self
    {
        return match ($this) {
            self::PaintCoat => self::PaintLoad,
            self::SolventCoat => self::SolventLoad,
            self::GlueClamps => self::GlueLoad,
            default => $this,
        };
    }

    /** Whether somebody’s touch says that it is dry: for sanding, caulking and the next coat, never for load, doors or what stands on it. */
    public function isByTouch(): bool
    {
        return in_array($this, [self::Filler, self::TwoPartFiller, self::PrimerWater, self::PrimerSolvent, self::PrimerShellac, self::Caulk, self::PaintCoat, self::SolventCoat, self::VarnishWater, self::VarnishOil], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::GlueClamps => 'wood glue, clamps off',
            self::GlueLoad => 'wood glue, loaded',
            self::Adhesive => 'construction adhesive',
            self::Filler => 'filler',
            self::TwoPartFiller => 'two-part filler',
            self::PrimerWater => 'primer, water',
            self::PrimerSolvent => 'primer, solvent',
            self::PrimerShellac => 'primer, shellac',
            self::Caulk => 'caulk',
            self::PaintCoat => 'paint, water: next coat',
            self::PaintHang => 'paint, water: doors hung',
            self::PaintLoad => 'paint, water: loaded',
            self::SolventCoat => 'paint, solvent: next coat',
            self::SolventHang => 'paint, solvent: doors hung',
            self::SolventLoad => 'paint, solvent: loaded',
            self::VarnishWater => 'varnish, water',
            self::VarnishOil => 'varnish, oil',
            self::Levelling => 'levelling compound',
            self::Plaster => 'plaster',
        };
    }
}
