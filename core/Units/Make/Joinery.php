<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
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
        foreach ($assembly->joints as $joint) {
            [$a, $b] = [$byKey[$joint->a] ?? null, $byKey[$joint->b] ?? null];
            if ($a === null || $b === null) {
                continue;
            }
            $contact = Contact::of($a, $b);
            array_push($bought, ...$screws->of($joint, $a, $b, $contact));
            [$onA, $onB] = $marking->of($joint, $a, $b, $contact);
            $marks[$joint->a] = [...$marks[$joint->a] ?? [], ...$onA];
            $marks[$joint->b] = [...$marks[$joint->b] ?? [], ...$onB];
        }
        $placed = array_map(fn (Placed $one) => ($marks[$one->piece->key] ?? []) === [] ? $one : $one->marked($marks[$one->piece->key]), $assembly->placed);

        return $assembly->placing($placed, $assembly->joints)->bought($bought);
    }
}
