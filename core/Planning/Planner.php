<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\Assembled;
use Incastro\Check\BehindSurfaces;
use Incastro\Check\Boring;
use Incastro\Check\Carried;
use Incastro\Check\Cautions;
use Incastro\Check\Comfort;
use Incastro\Check\GoingIn;
use Incastro\Check\Hung;
use Incastro\Check\Meetings;
use Incastro\Check\Reach;
use Incastro\Check\Sag;
use Incastro\Check\Swings;
use Incastro\Check\Tooling;
use Incastro\Check\UnknownKinds;
use Incastro\Check\Verdict;
use Incastro\Cut\BoardPlanner;
use Incastro\Cut\BoardStock;
use Incastro\Cut\CutPiece;
use Incastro\Cut\CutPlan;
use Incastro\Cut\Stock;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\LayoutFitter;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Install\BoxOrder;
use Incastro\Install\FittingWishes;
use Incastro\Pieces\Piece;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Severity;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Survey;
use Incastro\Units\Assembly;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Placed;
use Incastro\Units\RunBuilder;
use Incastro\Units\Sites\StandsAgainst;
use Incastro\Units\SurfaceBuilder;

/**
 * The one way through: survey → fit → units → check → cut, each a function of its own inputs. Web, command line, tests and
 * the trial use the same door. A plan is always given, with findings.
 *
 * Only the sheet plan is worth remembering: the other stages take a few milliseconds, less than fetching them would.
 */
final readonly class Planner
{
    /** Part of every remembered stage's key; raised when a stage computes something else from the same inputs. */
    public const VERSION = '6';

    /** Ways out that are tried when somebody asks for those of one finding. */
    private const ALL_TRIES = 40;

    public SheetStage $sheets;

    public function __construct(StageMemory $memory = new NoMemory())
    {
        $this->sheets = new SheetStage($memory);
    }

    /**
     * @param  bool  $saysNotStated  whether it is reckoned what plaster changes of which nobody spoke: each such space is built twice
     * @param  bool  $isThorough  whether sheets are planned as well as can be, which takes longer than all else; else quickly, unless such a plan is remembered
     */
    public function plan(Job $job, ?Marks $marks = null, bool $saysNotStated = true, bool $isThorough = false): Plan
    {
        $marks ??= new Marks($job->marks());
        $spaces = array_map(fn (Space $space) => $this->space($job, $space, $marks), $job->spaces);
        $spaces = $saysNotStated ? array_map(fn (SpacePlan $plan) => $this->notStated($job, $plan), $spaces) : $spaces;
        $pieces = array_merge([], ...array_map(fn (SpacePlan $space) => $space->pieces(), $spaces));
        $cut = $this->cut($job, $pieces, isThorough: $isThorough);

        return new Plan($job, $spaces, $cut, $cut->isShort() ? $this->cut($job, $pieces, true, $isThorough) : $cut);
    }

    /**
     * What pieces are cut from.
     *
     * @param  list<Piece>  $pieces
     * @param  bool  $isBought  with as much of every stock as it takes, whatever is at hand
     */
    public function cut(Job $job, array $pieces, bool $isBought = false, bool $isThorough = false): CutPlan
    {
        $isBoard = fn (Piece $piece): bool => $piece->material instanceof Lineal;
        $stock = $isBought ? array_map(fn (Stock $stock) => $stock->asManyAsNeeded(), $job->stock) : $job->stock;
        $boards = $isBought ? array_map(fn (BoardStock $stock) => $stock->asManyAsNeeded(), $job->boards) : $job->boards;

        return new CutPlan(
            $this->sheets->plan($job, array_values(array_filter($pieces, fn (Piece $piece) => ! $isBoard($piece))), $stock, $isThorough),
            $job->boardSaw($boards)->plan(array_map(CutPiece::of(...), array_values(array_filter($pieces, $isBoard))), $isThorough ? BoardPlanner::ROUNDS : 0),
        );
    }

    /** One space alone, without its sheets: for looking at layouts side by side, and for the trial. */
    public function space(Job $job, Space $space, ?Marks $marks = null): SpacePlan
    {
        return $this->furnished($job, $space, $space->survey($job->format), $marks);
    }

    /**
     * One finding of a space with all its ways out tried, however long that takes.
     */
    public function waysOut(Job $job, Space $space, Code $code, string $place): ?Finding
    {
        $room = $space->survey($job->format)->room;
        if ($room === null) {
            return null;
        }
        $marks = new Marks($job->marks());
        $tried = $this->trying($room, $marks, $code->isAboutMarks());
        $found = $tried($space, $job);
        $ways = new WaysOut($tried, $space, $job, self::ALL_TRIES);
        foreach ($found as $finding) {
            if ($finding->code === $code && $finding->place === $place) {
                return $ways->checkedOne($finding, $found);
            }
        }

        return null;
    }

    /** A space whose survey is solved already. */
    public function furnished(Job $job, Space $space, Survey $survey, ?Marks $marks = null): SpacePlan
    {
        $marks ??= new Marks($space->layout->marks);
        // What would make the survey surer is said where one measures.
        $findings = array_values(array_filter($survey->findings, fn (Finding $finding) => ! in_array($finding->code, [Code::Unchecked, Code::Struck, Code::TextureNotStated, Code::RougherThanSupposed], true)));
        if ($survey->room === null) {
            return new SpacePlan($space, $survey, null, [], [], $findings, Verdict::of($survey, null, $findings), $this->joinery($job));
        }
        $before = clone $marks;
        [$layout, $assemblies, $carried, $found] = $this->built($job, $space, $survey->room, $marks);
        $ways = new WaysOut($this->trying($survey->room, $before, false), $space, $job);
        $findings = [...$findings, ...$ways->checked($found), ...$this->cautions($job, $survey->room, $layout, $assemblies)];
        $plan = new SpacePlan($space, $survey, $layout, $assemblies, $carried, $findings, Verdict::of($survey, $layout, $findings), $this->joinery($job));
        // Where something else clashes sizes will still change: what joints bore is looked at when they stand.
        $bored = array_filter($found, fn (Finding $finding) => $finding->severity === Severity::Clash) === [] ? $this->bored($job, $space, $survey->room, $plan->made(), $found, $before) : [];

        return $bored === [] ? $plan : $plan->finding($bored);
    }

    /** A plan that says what plaster changes of which nobody spoke. Sketches of other layouts do not: each would be built twice. */
    private function notStated(Job $job, SpacePlan $plan): SpacePlan
    {
        $space = $plan->space;
        $room = $space->textures->isStated || $plan->layout === null ? null : $space->onPlanes()->survey($job->format)->room;
        if ($room === null) {
            return $plan;
        }
        [, $assemblies] = $this->assembled($space, new Terms($room->with($space->things), $job->rules, $job->materials, $job->format, $space->walls), new Marks($job->marks()));
        $pieces = array_merge([], ...array_map(fn (Assembly $assembly) => array_map(fn (Placed $placed) => $placed->piece, $assembly->placed), $assemblies));
        $changed = (new NotStated($job->format))->changed($plan->pieces(), $pieces);

        return $changed === [] ? $plan : $plan->finding($changed);
    }

    private function joinery(Job $job): Joinery
    {
        return new Joinery($job->rules, $job->materials, $job->format);
    }

    /**
     * What is wrong with the marks, and what makes it right. Nothing else follows from marks, so that no other way out has to
     * be tried with them.
     *
     * @param  list<Assembly>  $made
     * @param  list<Finding>  $found  besides
     * @return list<Finding>
     */
    private function bored(Job $job, Space $space, Room $room, array $made, array $found, Marks $marks): array
    {
        $bored = $this->boring($job, $room, $made);
        $ways = new WaysOut($this->trying($room, $marks, true), $space, $job);

        return array_map(fn (Finding $finding) => $ways->checkedOne($finding, [...$found, ...$bored]), $bored);
    }

    /** @return \Closure(Space, Job): list<Finding> what is found with a way out applied */
    private function trying(Room $room, Marks $marks, bool $withMarks): \Closure
    {
        return function (Space $space, Job $by) use ($room, $marks, $withMarks): array {
            [, $assemblies, , $found] = $this->built($by, $space, $room, clone $marks);

            return $withMarks ? [...$found, ...$this->boring($by, $room, array_map($this->joinery($by)->made(...), $assemblies))] : $found;
        };
    }

    /**
     * @param  list<Assembly>  $made
     * @return list<Finding>
     */
    private function boring(Job $job, Room $room, array $made): array
    {
        $boring = new Boring(new Terms($room, $job->rules, $job->materials, $job->format));

        return array_merge([], ...array_map($boring->findings(...), $made));
    }

    /** @return array{FittedLayout, list<Assembly>} what stands in the space, before anything of it is looked at */
    private function assembled(Space $space, Terms $terms, Marks $marks): array
    {
        $layout = (new LayoutFitter($terms))->fit($space->layout, $marks);
        $builder = new RunBuilder($terms, $space->layout->openings);
        $surfaces = new SurfaceBuilder($terms, $space->layout->openings);

        $built = array_map(fn (FittedRun $run) => $builder->build($run, $marks), $layout->runs);
        $against = new StandsAgainst($terms->room, $layout, $built);

        return [$layout, [...$built, ...array_map(fn (FittedSurface $surface) => $surfaces->build($surface, $against), $layout->surfaces)]];
    }

    /** @return array{FittedLayout, list<Assembly>, list<Carried>, list<Finding>} */
    private function built(Job $job, Space $space, Room $room, Marks $marks): array
    {
        $room = $room->with($space->things);
        $terms = new Terms($room, $job->rules, $job->materials, $job->format, $space->walls);
        [$layout, $assemblies] = $this->assembled($space, $terms, $marks);
        $going = new GoingIn($terms, $job->ways);
        $carried = $going->all($layout, $assemblies);
        $findings = [];
        foreach ($layout->runs as $r => $run) {
            $comfort = new Comfort($run, $terms);
            array_push($findings, ...$comfort->withWaysOut($run->findings), ...$assemblies[$r]->findings, ...$comfort->findings(), ...(new Hung($run, $terms))->findings($assemblies[$r]), ...(new Sag($terms))->findings($assemblies[$r]), ...(new Reach($run, $terms, $space->layout->openings))->findings($assemblies[$r]));
        }

        foreach ($layout->surfaces as $s => $surface) {
            $built = $assemblies[count($layout->runs) + $s];
            array_push($findings, ...$surface->findings, ...$built->findings, ...(new BehindSurfaces($terms))->findings($surface, $built));
        }
        $findings = [...$findings, ...UnknownKinds::findings($space->layout), ...UnknownKinds::nowhere($space->layout, $room->shape), ...(new Tooling($job->rules))->findings($layout->runs, $assemblies), ...(new Meetings($layout, $terms))->findings(), ...(new Swings($layout, $assemblies, $terms))->findings(), ...$going->findings($carried, $layout), ...$this->neither($layout)];

        return [$layout, $assemblies, $carried, [...$findings, ...(new Cuttable($job))->findings($layout, $assemblies), ...(new Assembled($layout, $assemblies, $terms, $space->layout->openings, $findings))->findings()]];
    }

    /** @return list<Finding> boxes of which neither goes in after the other */
    private function neither(FittedLayout $layout): array
    {
        return array_map(fn (array $pair) => Finding::clash(Code::GoingInNeither, sprintf('Neither %s nor %s goes in after the other: each stands on the last bit of the other’s way. Split one of them, or make one shallower.', $pair[0]->mark, $pair[1]->mark), $pair[0]->id)->about([$pair[1]->id]), (new BoxOrder($layout, new FittingWishes()))->neither());
    }

    /**
     * @param  list<Assembly>  $assemblies
     * @return list<Finding>
     */
    private function cautions(Job $job, Room $room, FittedLayout $layout, array $assemblies): array
    {
        $terms = new Terms($room, $job->rules, $job->materials, $job->format);
        $cautions = [];
        foreach ($layout->runs as $r => $run) {
            foreach (Cautions::of($run, $assemblies[$r], $terms) as $caution) {
                $cautions[$caution->sentence] ??= $caution;
            }
        }

        return array_values($cautions);
    }
}
