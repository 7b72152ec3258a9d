<?php

declare(strict_types=1);

namespace Incastro\Install;

/** What is done on fitting day, in the order of the job: minutes as they usually are, what is carried in for it, and what is to be minded. */
enum TaskKind: string
{
    case Strip = 'strip';
    case Look = 'look';
    case Service = 'service';
    case Level = 'level';
    case Studs = 'studs';
    case Cleats = 'cleats';
    case Plinth = 'foot';
    case PlinthFixed = 'foot-fixed';
    case Ledger = 'ledger';
    case BoxIn = 'box-in';
    case Plumb = 'plumb';
    case Held = 'held';
    case Joined = 'joined';
    case Fixed = 'fixed';
    case LedgerOff = 'ledger-off';
    case Proved = 'proved';
    case Unit = 'unit';
    case Top = 'top';
    case Panel = 'panel';
    case Edge = 'edge';
    case Frame = 'frame';
    case Toe = 'toe';
    case Surface = 'surface';
    case Fill = 'fill';
    case Sand = 'sand';
    case Prime = 'prime';
    case Caulk = 'caulk';
    case Coat = 'coat';
    case Hung = 'hung';
    case Pulls = 'pulls';
    case Refit = 'refit';
    case Cleared = 'cleared';

    public function label(): string
    {
        return match ($this) {
            self::Strip => 'Skirting and trim off',
            self::Look => 'Look behind',
            self::Service => 'Moved or extended by licensed people',
            self::Level => 'Level line all round',
            self::Studs => 'Studs found and marked',
            self::Cleats => 'Battens and cleats on the walls',
            self::Plinth => 'Plinth set and shimmed',
            self::PlinthFixed => 'Plinth fixed',
            self::Ledger => 'Temporary ledger under a hung box',
            self::BoxIn => 'Box in its place',
            self::Plumb => 'Box plumb and square',
            self::Held => 'Box held',
            self::Joined => 'Box joined to its neighbour',
            self::Fixed => 'Boxes packed and fixed',
            self::LedgerOff => 'Ledger off',
            self::Proved => 'Anchors proved',
            self::Unit => 'What stands by itself',
            self::Top => 'Top scribed and fixed',
            self::Panel => 'Panel scribed and fixed',
            self::Edge => 'Stile or filler, per edge',
            self::Frame => 'Face frame',
            self::Toe => 'Toe board',
            self::Surface => 'On the wall',
            self::Fill => 'Fill',
            self::Sand => 'Sand',
            self::Prime => 'Prime',
            self::Caulk => 'Caulk',
            self::Coat => 'A coat of paint',
            self::Hung => 'Doors, drawers and shelves, each',
            self::Pulls => 'Pulls and catches, each',
            self::Refit => 'Refitted by licensed people',
            self::Cleared => 'Cleared up and written down',
        };
    }

    /** Minutes that one takes: per metre, per bearer, per square metre or per piece where `per` says so. */
    public function minutes(): float
    {
        return match ($this) {
            self::Level, self::BoxIn, self::Fixed, self::Cleared => 20.0,
            self::Strip, self::PlinthFixed, self::Fill, self::Sand, self::Ledger => 15.0,
            self::Look, self::Studs, self::Plumb, self::Joined => 10.0,
            self::Cleats => 25.0,
            self::Plinth, self::Frame, self::Unit => 30.0,
            self::Held, self::LedgerOff, self::Proved, self::Pulls, self::Caulk => 5.0,
            self::Top, self::Surface => 60.0,
            self::Panel, self::Edge => 40.0,
            self::Toe, self::Hung => 20.0,
            // Of the area, at 6 m² an hour.
            self::Prime, self::Coat => 10.0,
            self::Service, self::Refit => 0.0,
        };
    }

    /** What its minutes are for, where that is not the whole of it. */
    public function per(): string
    {
        return match ($this) {
            self::Strip, self::Studs, self::Toe, self::Caulk => 'a metre',
            self::Prime, self::Coat => 'a square metre',
            self::Hung, self::Pulls => 'each',
            default => '',
        };
    }

    /** Which of the hours of the log it belongs to. */
    public function isFinish(): bool
    {
        return in_array($this, [self::Fill, self::Sand, self::Prime, self::Caulk, self::Coat], true);
    }

    /** Whether it waits for a day on which somebody licensed comes. */
    public function isLicensed(): bool
    {
        return $this === self::Service || $this === self::Refit;
    }

    /** @return list<string> what is carried in for it */
    public function tools(): array
    {
        return match ($this) {
            self::Strip => ['knife', 'flat bar', 'pliers'],
            self::Look => ['detector', 'torch'],
            self::Level => ['laser or long level', 'pencil'],
            self::Studs => ['detector', 'fine bit', 'tape', 'pencil'],
            self::Cleats, self::Ledger => ['level', 'detector', 'driver', 'screws'],
            self::Plinth => ['shims', 'level', 'glue', 'saw for shims'],
            self::PlinthFixed => ['driver', 'screws'],
            self::BoxIn => ['blanket', 'gloves'],
            self::Plumb => ['level', 'tape', 'shims'],
            self::Held => ['driver', 'detector', 'one screw per stud'],
            self::Joined => ['clamps', 'driver', 'connectors'],
            self::Fixed => ['detector', 'driver', 'packs', 'screws'],
            self::LedgerOff => ['driver'],
            self::Top, self::Panel, self::Edge => ['compass', 'plane', 'jigsaw', 'straightedge'],
            self::Unit, self::Surface => ['level', 'driver', 'detector'],
            self::Frame => ['clamps', 'glue', 'pins'],
            self::Toe => ['compass', 'plane', 'pins'],
            self::Fill => ['filler', 'knife'],
            self::Sand => ['paper 120 and 180', 'mask'],
            self::Prime, self::Coat => ['brush', 'roller', 'sheet for the floor'],
            self::Caulk => ['caulk', 'damp cloth'],
            self::Hung => ['driver', 'hinges', 'reveal gauge'],
            self::Pulls => ['drill', 'template'],
            self::Service, self::Refit, self::Proved, self::Cleared => [],
        };
    }

    /** Whether what reads out of its limit may be left so: never what holds a box, nor what it stands on. */
    public function mayBeLeft(): bool
    {
        return ! in_array($this, [self::Plinth, self::PlinthFixed, self::Held, self::Fixed, self::Proved], true);
    }

    public function caution(): ?string
    {
        return match ($this) {
            self::Strip => 'Old paint may hold lead: test it first, wet it, and keep children away.',
            self::Look => 'A wall may bear load, and old lining may hold asbestos: where something is in doubt stop and ask somebody who is licensed.',
            self::Service, self::Refit => 'Power, gas and water are for licensed people; your local code goes first.',
            self::Held => 'A box that is not fixed tips: one screw through its top nailer, not driven home, before anything else goes on or beside it.',
            self::Fixed, self::Cleats, self::Ledger, self::Surface => 'Before each screw: run a detector along the stud line. Cables and pipes may cross behind; your local code goes first.',
            self::Proved => 'Nothing is hung or loaded before the anchors hold: pull by hand at the top.',
            self::Fill, self::Prime, self::Coat => 'Keep a window open. Rags with oil can catch fire by themselves: spread them out to dry.',
            default => null,
        };
    }
}
