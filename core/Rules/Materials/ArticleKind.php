<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;

/** What is bought by the piece. Some are chosen by their length, some by what they carry too. */
enum ArticleKind: string
{
    case PocketScrew = 'pocket-screw';
    case Screw = 'screw';
    case StrongScrew = 'strong-screw';
    case StructuralScrew = 'structural-screw';
    case Brad = 'brad';
    case ShelfPin = 'shelf-pin';
    case Hinge = 'hinge';
    case Bumper = 'bumper';
    case Felt = 'felt';
    case BarPull = 'bar-pull';
    case Knob = 'knob';
    case CupPull = 'cup-pull';
    case Hook = 'hook';
    case Slides = 'slides';
    case HeavySlides = 'heavy-slides';
    case UnderSlides = 'under-slides';
    case Rail = 'rail';
    case RailSocket = 'rail-socket';
    case RailSupport = 'rail-support';
    case PianoHinge = 'piano-hinge';
    case LidStay = 'lid-stay';
    case GasStay = 'gas-stay';
    case FlapStay = 'flap-stay';
    case Magnet = 'magnet';
    case FlushCup = 'flush-cup';
    case Castor = 'castor';
    case Grommet = 'grommet';
    case Pane = 'pane';
    case Bead = 'bead';
    case ButtHinge = 'butt-hinge';
    case PushLatch = 'push-latch';
    case AngleBracket = 'angle-bracket';
    case Connector = 'connector';
    case BoxExtender = 'box-extender';
    case TurnButton = 'turn-button';
    case LightProfile = 'light-profile';
    case LightDriver = 'light-driver';
    case WallPlug = 'wall-plug';

    public function label(): string
    {
        return match ($this) {
            self::PocketScrew => 'Pocket screws',
            self::Screw => 'Wood screws 4 mm, no. 8',
            self::StrongScrew => 'Wood screws 5 mm, no. 10',
            self::StructuralScrew => 'Structural screws 6 mm, 1/4 in, with washer heads',
            self::Brad => 'Brads',
            self::ShelfPin => 'Shelf pins',
            self::Hinge => 'Concealed hinge',
            self::ButtHinge => 'Butt hinge',
            self::Bumper => 'Bumper',
            self::Felt => 'Felt bumper',
            self::BarPull => 'Bar',
            self::Knob => 'Knob',
            self::CupPull => 'Cup pull',
            self::Hook => 'Coat hook',
            self::Slides => 'Pair of drawer slides',
            self::HeavySlides => 'Pair of heavy slides',
            self::UnderSlides => 'Pair of undermount slides',
            self::Rail => 'Hanging rail',
            self::RailSocket => 'Rail socket',
            self::RailSupport => 'Rail support',
            self::PianoHinge => 'Piano hinge',
            self::LidStay => 'Lid stay',
            self::GasStay => 'Gas stay',
            self::FlapStay => 'Flap stay',
            self::Magnet => 'Magnet catch',
            self::PushLatch => 'Push latch',
            self::AngleBracket => 'Angle bracket',
            self::Connector => 'Connecting screw',
            self::BoxExtender => 'Box extender',
            self::FlushCup => 'Flush cup pull',
            self::Castor => 'Castor',
            self::Grommet => 'Cable grommet',
            self::Pane => 'Toughened pane',
            self::Bead => 'Glazing bead',
            self::TurnButton => 'Turn button',
            self::LightProfile => 'Profile with a light strip',
            self::LightDriver => 'Driver of a light strip',
            self::WallPlug => 'Wall plugs',
        };
    }

    public function hasLength(): bool
    {
        return match ($this) {
            self::PocketScrew, self::Screw, self::StrongScrew, self::StructuralScrew, self::Brad, self::Slides, self::HeavySlides, self::UnderSlides, self::Rail, self::PianoHinge, self::Bead, self::LightProfile => true,
            default => false,
        };
    }

    /**
     * Lengths that it is usually sold in, the shortest first; of what is cut to length and of what has none: none.
     *
     * @return list<Length>
     */
    public function lengths(Unit $unit): array
    {
        [$millimetres, $sixteenths] = match ($this) {
            self::PocketScrew => [[25, 32, 38, 64], [16, 20, 24, 40]],
            self::Screw, self::StrongScrew => [[16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100], [10, 12, 16, 20, 26, 32, 40, 48, 56, 64]],
            self::StructuralScrew => [[60, 70, 80, 90, 100, 120, 140], [40, 48, 56, 64, 80, 96]],
            self::UnderSlides => [[300, 350, 400, 450, 500, 550], [192, 224, 256, 288, 320, 352]],
            self::Slides => [[250, 300, 350, 400, 450, 500, 550, 600, 650, 700], [160, 192, 224, 256, 288, 320, 352, 384, 416, 448]],
            self::HeavySlides => [range(300, 1000, 50), range(192, 640, 32)],
            default => [[], []],
        };

        return $unit->isMetric()
            ? array_map(Length::ofMillimetres(...), $millimetres)
            : array_map(fn (int $count) => Length::ofNanometres($count * 1_587_500), $sixteenths);
    }

    /** Whether a longer one is cut to what is needed. */
    public function isCut(): bool
    {
        return in_array($this, [self::Rail, self::PianoHinge, self::Bead, self::LightProfile], true);
    }

    public function hasLoad(): bool
    {
        return $this === self::Slides || $this === self::HeavySlides;
    }

    /** Whether some of it are lost on the way: screws, brads and pins. */
    public function isLost(): bool
    {
        return in_array($this, [self::PocketScrew, self::Screw, self::StrongScrew, self::StructuralScrew, self::Brad, self::ShelfPin, self::WallPlug], true);
    }
}
