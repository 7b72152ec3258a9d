<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** Which rule found something. */
enum Code: string
{
    case Anchor = 'anchor';
    case AnchorsTooLight = 'anchors-too-light';
    case ApplianceTight = 'appliance-tight';
    case AssembledApart = 'assembled-apart';
    case AssembledOutside = 'assembled-outside';
    case AssembledOverlap = 'assembled-overlap';
    case AssembledThing = 'assembled-thing';
    case BayOverfull = 'bay-overfull';
    case BinDeep = 'bin-deep';
    case BinHeavy = 'bin-heavy';
    case BlindCorner = 'blind-corner';
    case BoardAcross = 'board-across';
    case Buried = 'buried';
    case CartJams = 'cart-jams';
    case ChaseEmpty = 'chase-empty';
    case CartTips = 'cart-tips';
    case CastorNeedsFloor = 'castor-needs-floor';
    case Caution = 'caution';
    case CleatCannotDrop = 'cleat-cannot-drop';
    case Clearance = 'clearance';
    case ClothesTouch = 'clothes-touch-front';
    case Covered = 'covered';
    case CubbySmall = 'cubby-small';
    case DoorHeavy = 'door-heavy';
    case DoorSwing = 'door-swing';
    case DoorWarps = 'door-warps';
    case DoorWide = 'door-wide';
    case DrawerLow = 'drawer-low';
    case DrawerRacks = 'drawer-racks';
    case EndPanelNowhere = 'end-panel-nowhere';
    case EscapeCovered = 'escape-covered';
    case ExtenderDeep = 'extender-deep';
    case FlapHeavy = 'flap-heavy';
    case FlapHigh = 'flap-high';
    case FlapNotLevel = 'flap-not-level';
    case FirstTooNarrow = 'first-too-narrow';
    case FootGap = 'foot-gap';
    case FrontClosed = 'front-closed';
    case FreeFloor = 'free-floor';
    case FrontScrapes = 'front-scrapes';
    case FrontTwice = 'front-twice';
    case GoingInMouth = 'going-in-mouth';
    case GoingInNeither = 'going-in-neither';
    case GoingInSlid = 'going-in-slid';
    case GoingInStoodUp = 'going-in-stood-up';
    case GoingInWayIn = 'going-in-way-in';
    case GrooveWeakens = 'groove-weakens';
    case GridBeforeFrame = 'grid-before-frame';
    case HeatClosedIn = 'heat-closed-in';
    case Heavy = 'heavy';
    case TextureNotStated = 'texture-not-stated';
    case RougherThanSupposed = 'rougher-than-supposed';
    case HeightInFrontMissing = 'height-in-front-missing';
    case HingeMisfit = 'hinge-misfit';
    case HoleAtEdge = 'hole-at-edge';
    case HoleRefused = 'hole-refused';
    case InTheWay = 'in-the-way';
    case KneesDeep = 'knees-deep';
    case KneesHigh = 'knees-high';
    case KneesWide = 'knees-wide';
    case MarksCross = 'marks-cross';
    case MemberNoRoom = 'member-no-room';
    case LeafCannotLift = 'leaf-cannot-lift';
    case LeafOverRail = 'leaf-over-rail';
    case LapShort = 'lap-short';
    case LedgeUseless = 'ledge-useless';
    case LeafOpensShort = 'leaf-opens-short';
    case LidHeavy = 'lid-heavy';
    case LidSafety = 'lid-safety';
    case NoSlideFits = 'no-slide-fits';
    case NoStock = 'no-stock';
    case NoStud = 'no-stud';
    case NotchSplits = 'notch-splits';
    case OutletForward = 'outlet-forward';
    case OutOfReach = 'out-of-reach';
    case OverHead = 'over-head';
    case Overlap = 'overlap';
    case PanelCaught = 'panel-caught';
    case CornerNotSquare = 'corner-not-square';
    case PieceShort = 'piece-short';
    case PlanCannotClose = 'plan-cannot-close';
    case PlanCrosses = 'plan-crosses';
    case PlanFloats = 'plan-floats';
    case PlanNotChecked = 'plan-not-checked';
    case PanelsOdd = 'panels-odd';
    case RailLow = 'rail-low';
    case RailNowhere = 'rail-nowhere';
    case RailOneStud = 'rail-one-stud';
    case RakeHit = 'rake-hit';
    case RevealWanders = 'reveal-wanders';
    case ReadyMadeDepth = 'ready-made-depth';
    case ReadyMadeHeight = 'ready-made-height';
    case ReadyMadeWidth = 'ready-made-width';
    case RunDepth = 'run-depth';
    case RunOverfull = 'run-overfull';
    case Saw = 'saw';
    case SlidesWeak = 'slides-too-weak';
    case ScrewComesOut = 'screw-comes-out';
    case ShelfNoRoom = 'shelf-no-room';
    case ShelvesTooClose = 'shelves-too-close';
    case Sliver = 'sliver';
    case StripThick = 'strip-thick';
    case StileOnSocket = 'stile-on-socket';
    case ScarfOffStud = 'scarf-off-stud';
    case SnapRing = 'snap-ring';
    case SocketCovered = 'socket-covered';
    case StayWeak = 'stay-too-weak';
    case Strikes = 'strikes';
    case Strip = 'strip';
    case Struck = 'struck';
    case BevelTooSteep = 'bevel-too-steep';
    case Suspect = 'suspect';
    case SurfaceNowhere = 'surface-nowhere';
    case TakesDiffer = 'takes-differ';
    case ThingOutside = 'thing-outside';
    case TierDepth = 'tier-depth';
    case ToolLacks = 'tool-lacks';
    case TooFew = 'too-few';
    case LedgeNoRoom = 'ledge-no-room';
    case TooFewStuds = 'too-few-studs';
    case TooLarge = 'too-large';
    case TooShallow = 'too-shallow';
    case TooSmall = 'too-small';
    case TooThin = 'too-thin';
    case Unchecked = 'unchecked';
    case TrimProud = 'trim-proud';
    case Undecided = 'undecided';
    case UnknownKind = 'unknown-kind';
    case UpperOverhangs = 'upper-overhangs';
    case MattressJams = 'mattress-jams';
    case BedAir = 'bed-air';
    case BedGapTrap = 'bed-gap-trap';
    case BedHigh = 'bed-high';
    case GuardMissing = 'guard-missing';
    case GuardGap = 'guard-gap';
    case GuardWeak = 'guard-weak';
    case DrawerMeetsLeg = 'drawer-meets-leg';
    case BackEatsSeat = 'back-eats-seat';
    case SeatHigh = 'seat-high';
    case SeatAir = 'seat-air';
    case WindowFall = 'window-fall';
    case WorktopHangs = 'worktop-hangs';
    case GateShort = 'gate-short';
    case LedgeShallow = 'ledge-shallow';
    case LidBends = 'lid-bends';
    case StepMeets = 'step-meets';
    case StepHigh = 'step-high';
    case RiseUneven = 'rise-uneven';
    case StepNarrow = 'step-narrow';
    case StepsNowhere = 'steps-nowhere';
    case StepsBent = 'steps-bent';
    case StepsHold = 'steps-hold';
    case SeatBends = 'seat-bends';
    case TreadBends = 'tread-bends';
    case OverhangLong = 'overhang-long';
    case HutchLow = 'hutch-low';
    case HutchAlone = 'hutch-alone';
    case FlapLow = 'flap-low';
    case FlapFalls = 'flap-falls';
    case CrawlSmall = 'crawl-small';
    case CrawlSleep = 'crawl-sleep';
    case RoofLift = 'roof-lift';
    case RoofHeavy = 'roof-heavy';
    case RoofJoint = 'roof-joint';
    case DeckHangs = 'deck-hangs';
    case DeckOnBought = 'deck-on-bought';
    case CurtainHeat = 'curtain-heat';
    case DeckNoAir = 'deck-no-air';
    case Sags = 'sags';
    case GasBoxed = 'gas-boxed';
    case ValveBehindFace = 'valve-behind-face';
    case VentClosed = 'vent-closed';
    case WallMayBear = 'wall-may-bear';
    case OpeningNowhere = 'opening-nowhere';
    case OpeningOverBoard = 'opening-over-board';
    case OpeningChild = 'opening-child';
    case RadiusUnderBit = 'radius-under-bit';
    case ThinBridge = 'thin-bridge';
    case FireSheetMissing = 'fire-sheet-missing';
    case NoCableWay = 'no-cable-way';
    case NoFall = 'no-fall';
    case NotElectric = 'not-electric';
    case CombustibleLining = 'combustible-lining';
    case NicheThrough = 'niche-through';
    case OpeningTight = 'opening-tight';
    case SkirtingAboveBox = 'skirting-above-box';
    case NoSlope = 'no-slope';
    case NothingBehind = 'nothing-behind';
    case MantelHeat = 'mantel-heat';
    case HalfCannotPass = 'half-cannot-pass';
    case HalfWallWeak = 'half-wall-weak';
    case FreeEndLong = 'free-end-long';
    case PostThin = 'post-thin';
    case HatchHeavy = 'hatch-heavy';
    case PostUncovered = 'post-uncovered';
    case TipThin = 'tip-thin';
    case GrooveDeep = 'groove-deep';
    case GateGap = 'gate-gap';

    /** Whether readings do not agree with each other, or make no plan. */
    public function isDisagreement(): bool
    {
        return in_array($this, [self::TakesDiffer, self::Suspect, self::Undecided, self::TooFew, self::PlanCannotClose, self::PlanCrosses], true);
    }

    /** Whether it is said of what joints mark on the pieces. */
    public function isAboutMarks(): bool
    {
        return in_array($this, [self::MarksCross, self::ScrewComesOut, self::HoleAtEdge], true);
    }

    /** Whether it is said of a thing on a face, and of what is kept free for it. */
    public function isAboutThing(): bool
    {
        return in_array($this, [self::InTheWay, self::NotchSplits, self::Clearance, self::Covered, self::VentClosed, self::EscapeCovered, self::SocketCovered, self::Buried, self::OutOfReach], true);
    }
}
