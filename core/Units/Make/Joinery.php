<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Marks\Mark;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/** What the joints of an assembly take to be made: what is bought, and what is marked on both pieces of each. */
final readonly class Joinery
{
    /** Pieces this near to each other meet, mm: sizes are rounded once, to at most a sixteenth of an inch. */
    public const TOUCH = 2.0;

    public function __construct(private HouseRules $rules, private Catalogue $materials, private LengthFormat $format)
    {
    }

    /** How far two pieces may lie apart that a joint holds, mm: what drops in between two sides has half its play at each, and half of what rounding takes. */
    public static function reach(JointKind $kind, HouseRules $rules, LengthFormat $format): float
    {
        return $kind === JointKind::Pins ? max(self::TOUCH, ($rules->mm(Rule::ShelfPlay) + $format->step->toDouble()) / 2 + 0.1) : self::TOUCH;
    }

    public function made(Assembly $assembly): Assembly
    {
        $byKey = $assembly->byKey();
        $marking = new Marking($this->rules);
        $screws = new Screws($this->materials, $this->format);
        $bought = $marks = [];
        $contacts = array_map(fn (Joint $joint) => isset($byKey[$joint->a], $byKey[$joint->b]) ? Contact::of($byKey[$joint->a], $byKey[$joint->b]) : null, $joints = self::inOrder($assembly->joints));
        $pins = $this->pins($joints, $contacts, $byKey, $marking);
        foreach ($joints as $j => $joint) {
            [$a, $b] = [$byKey[$joint->a] ?? null, $byKey[$joint->b] ?? null];
            if ($a === null || $b === null) {
                continue;
            }
            array_push($bought, ...$screws->of($joint, $a, $b, $contacts[$j]));
            $taken = $joint->kind === JointKind::Pins ? [...$marks[$joint->b] ?? [], ...$pins[$joint->b] ?? []] : $marks[$joint->a] ?? [];
            [$onA, $onB] = $marking->of($joint, $a, $b, $contacts[$j], $taken);
            foreach ($onA as $mark) {
                $marks[$joint->a][] = $mark;
            }
            foreach ($onB as $mark) {
                $marks[$joint->b][] = $mark;
            }
        }
        $placed = array_map(fn (Placed $one) => ($marks[$one->piece->key] ?? []) === [] ? $one : $one->marked([...$one->piece->marks, ...$marks[$one->piece->key]]), $assembly->placed);

        return $assembly->placing($placed, $assembly->joints)->bought($bought);
    }

    /**
     * The holes on which each shelf lies, by the board that they are bored in: what else could be bored there gives way to them.
     *
     * @param  list<Joint>  $joints
     * @param  list<?Contact>  $contacts
     * @param  array<string, Placed>  $byKey
     * @return array<string, list<Mark>>
     */
    private function pins(array $joints, array $contacts, array $byKey, Marking $marking): array
    {
        $pins = [];
        foreach ($joints as $j => $joint) {
            $own = $joint->kind !== JointKind::Pins || $contacts[$j] === null ? null : $marking->ownPins($contacts[$j], $byKey[$joint->a], $byKey[$joint->b]);
            if ($own !== null) {
                $pins[$joint->b][] = $own;
            }
        }

        return $pins;
    }

    /**
     * Screws may go anywhere along their joint and give way to what is bored in its place: they come last, and pins before them.
     *
     * @param  list<Joint>  $joints
     * @return list<Joint>
     */
    private static function inOrder(array $joints): array
    {
        $rank = fn (Joint $joint): int => match ($joint->kind) {
            JointKind::Screws => 2,
            JointKind::Pins => 1,
            default => 0,
        };
        usort($joints, fn (Joint $one, Joint $other) => $rank($one) <=> $rank($other));

        return $joints;
    }
}
