<?php

declare(strict_types=1);

namespace Incastro\Rules;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;

/**
 * A house rule that is a length: its default in either unit system, its bounds, and why it is what it is.
 *
 * The defaults are the handbook's (how furniture meets the house; sheets, boards, saw).
 */
enum Rule: string
{
    case SideAllowance = 'side_allowance';
    case TopAllowance = 'top_allowance';
    case TiltAllowance = 'tilt_allowance';
    case FrontSetback = 'front_setback';
    case UsualDepth = 'usual_depth';
    case ScribeReserve = 'scribe_reserve';
    case FillerLeast = 'filler_least';
    case FillerMost = 'filler_most';
    case ScribeMost = 'scribe_most';
    case TrimFace = 'trim_face';
    case TrimLap = 'trim_lap';
    case ShadowGap = 'shadow_gap';
    case StileWidth = 'stile_width';
    case RailWidth = 'rail_width';
    case NailerWidth = 'nailer_width';
    case ShelfPlay = 'shelf_play';
    case BackPlay = 'back_play';
    case PlinthHeight = 'plinth_height';
    case PlinthSetback = 'plinth_setback';
    case BearerSpacing = 'bearer_spacing';
    case NotchPlay = 'notch_play';
    case ShelfAllowance = 'shelf_allowance';
    case WorktopOverhang = 'worktop_overhang';
    case PipeCold = 'pipe_cold';
    case PipeHot = 'pipe_hot';
    case OpeningPlay = 'opening_play';
    case HandClearance = 'hand_clearance';
    case KneeWidth = 'knee_width';
    case KneeHeight = 'knee_height';
    case KneeDepth = 'knee_depth';
    case LeastDepth = 'least_depth';
    case Reach = 'reach';
    case LongestPiece = 'longest_piece';
    case WidestBack = 'widest_back';
    case DoorReveal = 'door_reveal';
    case PairGap = 'pair_gap';
    case OverlayEdge = 'overlay_edge';
    case OverlayGap = 'overlay_gap';
    case LipLap = 'lip_lap';
    case BehindFront = 'behind_front';
    case SlideThickness = 'slide_thickness';
    case SlidePlay = 'slide_play';
    case SlideEnd = 'slide_end';
    case SlideFront = 'slide_front';
    case DrawerAir = 'drawer_air';
    case DrawerBottomUp = 'drawer_bottom_up';
    case HangerDepth = 'hanger_depth';
    case PinRow = 'pin_row';
    case PinPitch = 'pin_pitch';
    case PinDiameter = 'pin_diameter';
    case PinDepth = 'pin_depth';
    case HingeEnd = 'hinge_end';
    case DoorStile = 'door_stile';
    case DoorGroove = 'door_groove';
    case PanelPlay = 'panel_play';
    case RakePlay = 'rake_play';
    case CleatWidth = 'cleat_width';
    case PullProjection = 'pull_projection';
    case CartSide = 'cart_side';
    case Kerf = 'kerf';
    case Trim = 'trim';
    case BoardEnd = 'board_end';

    /** Default in mm, default in 1/64 in, label, reason, least and most in mm.
     * @return array{float, int, string, string, float, float} */
    private function row(): array
    {
        return match ($this) {
            self::SideAllowance => [3, 8, 'Allowance at each side of a box', 'A box slides home between walls with this much air on each side, besides the doubt of the readings.', 0, 50],
            self::TopAllowance => [6, 16, 'Allowance above a box that slides in upright', 'Room to lift it onto the plinth and let it down.', 0, 100],
            self::TiltAllowance => [6, 16, 'Allowance above a box that is tilted up', 'The side diagonal swings under the ceiling with this much to spare.', 0, 100],
            self::FrontSetback => [10, 24, 'Face set back from the front line', 'Keeps the face behind the corner of the chimney breast.', 0, 300],
            self::UsualDepth => [600, 1536, 'Depth of a box unless chosen', 'Arms reach no deeper; a deeper space is filled only when you say so.', 150, 1500],
            self::ScribeReserve => [5, 12, 'Scribe reserve', 'The shallowest cut of a scribed edge: less is hard to saw.', 1, 25],
            self::FillerLeast => [20, 48, 'Least finished filler', 'A narrower strip splits and looks like a mistake.', 5, 100],
            self::FillerMost => [100, 256, 'Filler beyond which the furniture could be larger', 'A wide strip is space given away.', 40, 400],
            self::ScribeMost => [25, 64, 'Largest gap that a wider stile takes', 'Beyond this a filler strip is the better closing.', 5, 80],
            self::TrimFace => [45, 112, 'Face of the cover trim', 'Trim laps the furniture and touches the wall.', 10, 150],
            self::TrimLap => [6, 16, 'Least lap of the trim', 'So that the trim hides the edge it covers.', 3, 50],
            self::ShadowGap => [10, 24, 'Least shadow gap', 'A narrower one looks like an accident.', 5, 50],
            self::StileWidth => [38, 96, 'Stile width', 'The visible width of a face frame upright over its box.', 19, 150],
            self::RailWidth => [45, 112, 'Rail width', 'The height of the face frame’s top and bottom rails.', 19, 200],
            self::NailerWidth => [90, 224, 'Nailer width', 'Solid strips behind the back through which the box is fixed to studs.', 40, 200],
            self::ShelfPlay => [3, 8, 'Play of an adjustable shelf', 'So that it drops in between the sides.', 1, 10],
            self::BackPlay => [2, 4, 'Laid-on back, less than the box', 'Keeps the back from standing out behind the sides.', 0, 10],
            self::PlinthHeight => [70, 176, 'Plinth height', 'Levelled to the highest floor point under the run.', 30, 300],
            self::PlinthSetback => [65, 160, 'Plinth set back for toes', 'Room for feet in front of the cupboard.', 0, 150],
            self::BearerSpacing => [600, 1536, 'Most between plinth bearers', 'Cross-bearers carry the box bottom.', 200, 900],
            self::NotchPlay => [3, 8, 'Play round skirting that stays', 'A notch cut tight is cut twice.', 0, 20],
            self::ShelfAllowance => [2, 5, 'Allowance at each corner of a shelf between walls', 'A board slid in between two walls has this much air at each of its four corners.', 0, 10],
            self::WorktopOverhang => [20, 48, 'Worktop over the face', 'How far a worktop stands out over the furniture under it.', 0, 300],
            self::PipeCold => [10, 24, 'Air around a cold pipe', 'A pipe moves and sweats, and wood moves too.', 0, 50],
            self::PipeHot => [15, 40, 'Air around a hot pipe', 'A hot pipe grows longer, and dries the wood beside it.', 0, 80],
            self::OpeningPlay => [5, 12, 'Air around a box in the wall', 'An opening cut for a socket or a switch is this much larger on every side.', 0, 50],
            self::HandClearance => [20, 48, 'Room for hands at a door or turn', 'Fingers hold the box on its way in.', 0, 100],
            self::KneeWidth => [600, 1536, 'Least width of a knee space', 'Knees and elbows of one person.', 300, 1500],
            self::KneeHeight => [620, 1584, 'Least height of a knee space', 'Thighs on a chair of usual height.', 300, 1000],
            self::KneeDepth => [450, 1152, 'Least depth of a knee space', 'Knees and feet.', 200, 1000],
            self::LeastDepth => [150, 384, 'Least depth of a shelf', 'Shallower than this, things fall off.', 50, 500],
            self::Reach => [600, 1536, 'How far a hand reaches in', 'A valve or a socket deeper in than this is out of reach.', 200, 900],
            self::LongestPiece => [2400, 6016, 'Longest plinth or worktop in one piece', 'What is longer is made in two, which meet at the joint of two boxes: sheets and stairs are no longer.', 900, 3600],
            self::WidestBack => [1200, 3024, 'Widest back in one piece', 'Wider than this, the back of a box of several bays is in parts that meet on a divider: sheets are no wider.', 300, 2400],
            self::DoorReveal => [2.5, 6, 'Gap round a front inside its frame', 'Less binds when paint and damp make it grow.', 1, 6],
            self::PairGap => [2.5, 6, 'Gap between two fronts', 'Each swings or slides past the other.', 1, 6],
            self::OverlayEdge => [1.5, 4, 'Leaf over banded edges, short of the box', 'The leaf of the next box needs room too.', 0, 10],
            self::OverlayGap => [3, 8, 'Gap between two leaves over one board', 'Each swings past the other.', 2, 8],
            self::LipLap => [12, 32, 'Lap of a lipped leaf', 'It hides the gap round the leaf behind it.', 6, 20],
            self::BehindFront => [6, 16, 'Shelves behind a closed front', 'So that nothing on a shelf’s edge strikes the door.', 2, 30],
            self::SlideThickness => [12.7, 32, 'Thickness of one drawer slide', 'A drawer is narrower than its opening by two of them.', 8, 25],
            self::SlidePlay => [1, 2, 'Drawer narrower than exact', 'Slides bind in a drawer that is too wide, and forgive one that is a little too narrow.', 0, 1.5],
            self::SlideEnd => [10, 24, 'Free behind a drawer slide', 'Slides are set by their front; a wall or a nailer behind is not always where it should be.', 0, 40],
            self::SlideFront => [3, 8, 'Slide set behind the drawer’s front', 'So that the front closes before the slide stops.', 0, 10],
            self::DrawerAir => [25, 64, 'Drawer box lower than its front', 'Air under the box and over it; of it half lies below.', 10, 60],
            self::DrawerBottomUp => [10, 24, 'Groove of a drawer bottom over the foot', 'What is left below the groove carries the load.', 6, 20],
            self::HangerDepth => [280, 704, 'Clothes rail before the back, at least', 'Half the width of a hanger with a coat on it.', 230, 400],
            self::PinRow => [37, 96, 'Pin rows from a shelf’s edges', 'Both rows carry alike, and stay clear of doors and backs.', 15, 100],
            self::PinPitch => [32, 80, 'Between two pin holes', 'A shelf moves up or down by so much.', 20, 60],
            self::PinDiameter => [5, 16, 'Hole of a shelf pin', 'As the pins that are bought.', 3, 8],
            self::PinDepth => [10, 24, 'Depth of a pin’s hole', 'A stop on the drill keeps the point inside the board.', 6, 14],
            self::HingeEnd => [100, 256, 'Hinges from the ends of a leaf', 'The outer two; others lie evenly between.', 50, 200],
            self::DoorStile => [57, 144, 'Stiles and rails of framed leaves', 'Wide enough for hinge cups and for a groove.', 35, 120],
            self::DoorGroove => [10, 24, 'Grooves and tongues of framed leaves', 'What a rail and a panel have in the stiles.', 6, 15],
            self::PanelPlay => [3, 8, 'Panel smaller than its grooves', 'So that it may swell, and the frame closes on it.', 1, 6],
            self::RakePlay => [10, 24, 'Air over a pull-out under a slope', 'Measured plumb: it passes its opening with this much to spare, as slides sag.', 4, 40],
            self::CleatWidth => [30, 80, 'Width of cleats under shelves and floors', 'Screws through them hold a load without splitting them.', 20, 60],
            self::PullProjection => [35, 88, 'How far a pull stands out', 'A door or a drawer beside it must pass it.', 0, 80],
            self::CartSide => [6, 16, 'Cart at each side of its gap', 'It rolls out straight, and castors wander.', 3, 25],
            self::Kerf => [3.2, 8, 'Saw kerf', 'What the blade turns into dust with each cut.', 0, 8],
            self::Trim => [6, 16, 'Trimmed off each sheet edge', 'Factory edges are neither straight, square nor clean.', 0, 30],
            self::BoardEnd => [10, 24, 'Cut off each end of a board', 'Ends are split, painted and seldom square.', 0, 100],
        };
    }

    public function label(): string
    {
        return $this->row()[2];
    }

    public function group(): RuleGroup
    {
        return match ($this) {
            self::SideAllowance, self::TopAllowance, self::TiltAllowance, self::FrontSetback, self::UsualDepth, self::NotchPlay, self::HandClearance => RuleGroup::GoingIn,
            self::ScribeReserve, self::FillerLeast, self::FillerMost, self::ScribeMost, self::TrimFace, self::TrimLap, self::ShadowGap => RuleGroup::Closing,
            self::StileWidth, self::RailWidth, self::NailerWidth, self::BackPlay, self::LongestPiece, self::WidestBack => RuleGroup::Boxes,
            self::ShelfPlay, self::ShelfAllowance, self::LeastDepth, self::PinRow, self::PinPitch, self::PinDiameter, self::PinDepth, self::HangerDepth, self::CleatWidth => RuleGroup::Shelves,
            self::PlinthHeight, self::PlinthSetback, self::BearerSpacing, self::WorktopOverhang => RuleGroup::Plinths,
            self::DoorReveal, self::PairGap, self::OverlayEdge, self::OverlayGap, self::LipLap, self::BehindFront, self::HingeEnd, self::DoorStile, self::DoorGroove, self::PanelPlay, self::PullProjection => RuleGroup::Doors,
            self::SlideThickness, self::SlidePlay, self::SlideEnd, self::SlideFront, self::DrawerAir, self::DrawerBottomUp, self::RakePlay, self::CartSide => RuleGroup::Drawers,
            self::PipeCold, self::PipeHot, self::OpeningPlay, self::Reach => RuleGroup::Pipes,
            self::KneeWidth, self::KneeHeight, self::KneeDepth => RuleGroup::People,
            self::Kerf, self::Trim, self::BoardEnd => RuleGroup::Saw,
        };
    }

    public function reason(): string
    {
        return $this->row()[3];
    }

    public function default(Unit $unit): Length
    {
        return $unit === Unit::Inch ? Length::ofNanometres($this->row()[1] * 396_875) : Length::ofDouble($this->row()[0]);
    }

    public function least(): Length
    {
        return Length::ofDouble($this->row()[4]);
    }

    public function most(): Length
    {
        return Length::ofDouble($this->row()[5]);
    }
}
