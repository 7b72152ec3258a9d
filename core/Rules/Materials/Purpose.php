<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/** What something is made for. A job says which of its materials serves it, or it falls back to another purpose. */
enum Purpose: string
{
    case Carcass = 'carcass';
    case Shelf = 'shelf';
    case Front = 'front';
    case Frame = 'frame';
    case Back = 'back';
    case Drawer = 'drawer';
    case Panel = 'panel';
    case Top = 'top';
    case Framing = 'framing';
    case Cladding = 'cladding';
    case Trim = 'trim';
    case Rail = 'rail';
    case Slat = 'slat';
    case Leg = 'leg';
    case Post = 'post';
    case Lining = 'lining';
    case FireBoard = 'fire-board';

    public function label(): string
    {
        return match ($this) {
            self::Carcass => 'Boxes and plinth',
            self::Shelf => 'Shelves',
            self::Front => 'Doors and drawer fronts',
            self::Frame => 'Face frames and fillers',
            self::Back => 'Backs',
            self::Drawer => 'Drawer boxes',
            self::Panel => 'Drawer bottoms and door panels',
            self::Top => 'Worktops and seats',
            self::Framing => 'Battens and bearers',
            self::Cladding => 'Cladding boards',
            self::Trim => 'Cover trims',
            self::Rail => 'Ledgers, rails and studs',
            self::Slat => 'Slats of beds',
            self::Leg => 'Legs and gates',
            self::Post => 'Posts',
            self::Lining => 'Skins of walls',
            self::FireBoard => 'Linings beside a fire',
        };
    }

    /** What serves it where the job names nothing; null where nothing does. */
    public function fallsBackTo(): ?self
    {
        return match ($this) {
            self::Shelf, self::Front, self::Frame, self::Top, self::Framing => self::Carcass,
            self::Panel, self::Cladding => self::Back,
            self::Trim => self::Frame,
            self::Rail, self::Slat => self::Framing,
            self::Leg => self::Slat,
            self::Post => self::Rail,
            self::Lining => self::Drawer,
            self::FireBoard => self::Lining,
            self::Carcass, self::Back, self::Drawer => null,
        };
    }
}
