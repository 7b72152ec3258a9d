<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** What may stand on, in or through a wall, a floor or a ceiling. */
enum ThingKind: string
{
    case PictureRail = 'picture-rail';
    case Window = 'window';
    case WindowTrim = 'window-trim';
    case Door = 'door';
    case Socket = 'socket';
    case Switch = 'switch';
    case JunctionBox = 'junction-box';
    case Radiator = 'radiator';
    case Vent = 'vent';
    case Hatch = 'hatch';
    case Pipe = 'pipe';
    case Trap = 'trap';
    case Valve = 'valve';
    case Chase = 'chase';
    case Pedestal = 'pedestal';
    case Basin = 'basin';
    case Cylinder = 'cylinder';
    case Flue = 'flue';
    case Fireplace = 'fireplace';
    case Beam = 'beam';
    case Post = 'post';
    case Stringer = 'stringer';
    case Stud = 'stud';

    public function label(): string
    {
        return match ($this) {
            self::PictureRail => 'Picture rail',
            self::WindowTrim => 'Window trim',
            self::JunctionBox => 'Junction box',
            self::Fireplace => 'Fireplace opening',
            self::Stud => 'Stud line',
            self::Pedestal => 'Pedestal of a basin',
            self::Cylinder => 'Hot-water cylinder',
            default => ucfirst($this->value),
        };
    }

    public function isRound(): bool
    {
        return in_array($this, [self::Pipe, self::Flue, self::Pedestal, self::Cylinder], true);
    }

    /** Whether it may be hot, so that wood keeps further from it. */
    public function mayBeHot(): bool
    {
        return $this === self::Pipe;
    }

    /** Whether pieces are cut around it; anything else, furniture leaves room for. */
    public function isCutAround(): bool
    {
        return in_array($this, [self::Pipe, self::Trap, self::Post, self::Beam, self::Chase, self::Stringer, self::PictureRail, self::Pedestal, self::Cylinder], true);
    }

    /** Whether somebody may take it away, or have it moved, to make room for furniture: it carries nothing and nobody's life hangs on it. */
    public function isRemovable(): bool
    {
        return in_array($this, [self::PictureRail, self::WindowTrim, self::Socket, self::Switch, self::Radiator, self::Pipe], true);
    }

    /** The direction in which it runs through a room where the person says none: what is traced is its section across that. */
    public function usuallyRuns(): string
    {
        return match ($this) {
            self::Post, self::Chase => 'up',
            self::PictureRail, self::Beam => 'along',
            default => 'out',
        };
    }

    /** The rule that usually holds for it, until the person says otherwise. */
    public function usualRule(): ThingRule
    {
        return match ($this) {
            self::Socket, self::Switch, self::JunctionBox, self::Valve, self::Trap, self::Hatch => ThingRule::Reachable,
            self::Window, self::Vent, self::Radiator, self::Door, self::Basin => ThingRule::Uncovered,
            self::Flue, self::Fireplace => ThingRule::Clearance,
            default => ThingRule::MayBeCovered,
        };
    }

    /** A caution that always comes with it (handbook, "Cautions"); it defers to local codes and licensed people. */
    public function caution(): ?string
    {
        return match ($this) {
            self::Socket, self::Switch, self::JunctionBox => 'Power off before you work here. An outlet or box may be extended, never buried: local rules and a licensed electrician decide.',
            self::Valve, self::Trap => 'Shut-offs and traps stay where a hand can reach them.',
            self::Cylinder => 'A cylinder keeps air all round, and its valves, thermostat and element stay in reach; what is above it lifts off, so that it can be changed.',
            self::Pedestal, self::Basin => 'Isolate the water before a pipe or a trap is touched; they stay within reach.',
            self::Vent => 'A vent keeps its air path.',
            self::Flue, self::Fireplace => 'Clearances to heat are those of the maker’s sheet and the local code.',
            self::Post, self::Stringer, self::Beam => 'Posts, beams and stringers carry the house: never cut one without a structural engineer.',
            self::Radiator => 'A heater needs its air path and its clearance.',
            self::Window, self::Hatch => 'A bedroom window or a hatch may be an escape route.',
            default => null,
        };
    }
}
