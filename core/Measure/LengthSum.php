<?php

declare(strict_types=1);

namespace Incastro\Measure;

use Brick\Math\BigRational;

/**
 * The grammar of a typed length:
 *
 *     sum      = product { (+|-) product }
 *     product  = factor { * factor }            one factor at most is a length, the others are counts
 *     factor   = [-] ( "(" sum ")" [unit] | quantity )
 *     quantity = number [unit] { number unit }  "5' 3 1/2" and "1 m 20 cm", each unit smaller than the one before
 *     number   = whole | decimal | fraction | whole fraction | whole-fraction
 *
 * A value is an exact rational, either bare or in nanometres; bare becomes a length in the job's unit where it meets a
 * length in a sum, and at the end.
 */
final class LengthSum
{
    public function __construct(private readonly LengthTokens $tokens, private readonly Unit $unit)
    {
    }

    /**
     * The value in nanometres.
     *
     * @throws Unreadable
     */
    public function value(): BigRational
    {
        $value = $this->sum();
        if ($this->tokens->next() !== null) {
            throw $this->unexpected();
        }

        return $this->asLength($value);
    }

    /** @return array{BigRational, bool} the value, and whether it is a length already */
    private function sum(): array
    {
        $left = $this->product();
        while ($this->tokens->isSign('+') || $this->tokens->isSign('-')) {
            $adds = $this->tokens->take() === '+';
            $right = $this->product();
            if ($left[1] !== $right[1]) {
                $left = [$this->asLength($left), true];
                $right = [$this->asLength($right), true];
            }
            $left = [$adds ? $left[0]->plus($right[0]) : $left[0]->minus($right[0]), $left[1]];
        }

        return $left;
    }

    /** @return array{BigRational, bool} */
    private function product(): array
    {
        $left = $this->factor();
        while ($this->tokens->isSign('*')) {
            $this->tokens->take();
            $right = $this->factor();
            if ($left[1] && $right[1]) {
                throw new Unreadable(sprintf('“%s” multiplies a length by a length, which is an area. Multiply by a plain number, such as 2 × 18 mm.', $this->tokens->typed));
            }
            $left = [$left[0]->multipliedBy($right[0]), $left[1] || $right[1]];
        }

        return $left;
    }

    /** @return array{BigRational, bool} */
    private function factor(): array
    {
        if ($this->tokens->isSign('-')) {
            $this->tokens->take();
            [$value, $isLength] = $this->factor();

            return [$value->negated(), $isLength];
        }
        if ($this->tokens->isSign('(')) {
            $this->tokens->take();
            $value = $this->sum();
            if (! $this->tokens->isSign(')')) {
                throw new Unreadable(sprintf('A bracket in “%s” is not closed. Add the missing “)”.', $this->tokens->typed));
            }
            $this->tokens->take();
            if ($this->tokens->isKind('unit')) {
                $value = [$this->withUnit($value, $this->takeUnit()), true];
            }

            return $value;
        }
        if (! $this->tokens->isKind('number')) {
            throw $this->unexpected();
        }

        return $this->quantity();
    }

    /** @return array{BigRational, bool} */
    private function quantity(): array
    {
        [$number, $doubtful] = $this->number();
        if (! $this->tokens->isKind('unit')) {
            $this->refuseDoubtful($doubtful, $this->unit);
            if ($this->tokens->isKind('number')) {
                throw new Unreadable(sprintf('“%s” has two numbers with nothing between them. Put a unit, a fraction or a sign between, such as 5 ft 3 in or 48 + 3.', $this->tokens->typed));
            }

            return [$number, false];
        }
        $unit = $this->takeUnit();
        $this->refuseDoubtful($doubtful, $unit);
        $total = $number->multipliedBy($unit->nanometres());
        while ($this->tokens->isKind('number')) {
            [$number, $doubtful] = $this->number();
            // After feet a bare number is inches, as people write 5' 3 1/2.
            $next = $this->tokens->isKind('unit') ? $this->takeUnit() : ($unit === Unit::Foot ? Unit::Inch : null);
            if ($next === null) {
                throw new Unreadable(sprintf('“%s” ends in a number without a unit. Say which unit it is, or put + before it.', $this->tokens->typed));
            }
            if (! $unit->mayBeFollowedBy($next)) {
                throw $this->clash($unit, $next);
            }
            $this->refuseDoubtful($doubtful, $next);
            $total = $total->plus($number->multipliedBy($next->nanometres()));
            $unit = $next;
        }

        return [$total, true];
    }

    /** @return array{BigRational, ?string} the number, and its text when it may be thousands or decimals */
    private function number(): array
    {
        $text = $this->tokens->take();
        if ($this->tokens->isSign('/')) {
            return [$this->fraction($text), null];
        }
        if (preg_match('/[.,].*[.,]/', $text)) {
            throw new Unreadable(sprintf('“%s” has more than one point or comma. Write it without thousands marks, such as 1203.5.', $text));
        }
        $value = BigRational::of('0'.rtrim(str_replace(',', '.', $text), '.'));
        if ($this->fractionFollows()) {
            if (! ctype_digit($text)) {
                throw new Unreadable(sprintf('“%s” has both a decimal and a fraction. Use one of them, such as 31 5/8 or 31.625.', $this->tokens->typed));
            }
            if ($this->tokens->isSign('-')) {
                $this->tokens->take();
            }
            $value = $value->plus($this->fraction($this->tokens->take()));
        }
        $doubtful = preg_match('/^(?!0+[.,])\d{1,3}[.,]\d{3}$/', $text) === 1 ? $text : null;

        return [$value, $doubtful];
    }

    /** Whether a fraction belongs to the whole number just taken: `31 5/8`, or `31-5/8` without spaces. */
    private function fractionFollows(): bool
    {
        if ($this->tokens->isKind('number') && $this->tokens->isSign('/', 1)) {
            return true;
        }

        return $this->tokens->isSign('-') && $this->tokens->isClose()
            && $this->tokens->isKind('number', 1) && $this->tokens->isClose(1)
            && $this->tokens->isSign('/', 2) && $this->tokens->isKind('number', 3)
            && $this->isProper((string) $this->tokens->next(1), (string) $this->tokens->next(3));
    }

    private function isProper(string $top, string $bottom): bool
    {
        return ctype_digit($top) && ctype_digit($bottom) && BigRational::of($top)->isLessThan($bottom);
    }

    /** @throws Unreadable */
    private function fraction(string $top): BigRational
    {
        $this->tokens->take();
        if (! $this->tokens->isKind('number')) {
            throw new Unreadable(sprintf('The fraction in “%s” has no bottom. Finish it, such as 5/8.', $this->tokens->typed));
        }
        $bottom = $this->tokens->take();
        if (! ctype_digit($top) || ! ctype_digit($bottom)) {
            throw new Unreadable(sprintf('“%s/%s” is not a fraction of whole numbers. Write it such as 5/8.', $top, $bottom));
        }
        if (trim($bottom, '0') === '') {
            throw new Unreadable(sprintf('“%s/%s” is a fraction over nothing. Write it such as 5/8.', $top, $bottom));
        }

        return BigRational::of($top)->dividedBy($bottom);
    }

    private function takeUnit(): Unit
    {
        $unit = Unit::ofWord($this->tokens->take()) ?? $this->unit;
        if ($this->tokens->isKind('unit')) {
            throw $this->clash($unit, Unit::ofWord((string) $this->tokens->next()) ?? $unit);
        }

        return $unit;
    }

    /** @param array{BigRational, bool} $value */
    private function withUnit(array $value, Unit $unit): BigRational
    {
        if ($value[1]) {
            throw new Unreadable(sprintf('“%s” gives a unit to something that has one already. Leave one of them out.', $this->tokens->typed));
        }

        return $value[0]->multipliedBy($unit->nanometres());
    }

    /** @param array{BigRational, bool} $value */
    private function asLength(array $value): BigRational
    {
        return $value[1] ? $value[0] : $value[0]->multipliedBy($this->unit->nanometres());
    }

    private function refuseDoubtful(?string $text, Unit $unit): void
    {
        if ($text !== null && $unit === Unit::Millimetre) {
            $plain = preg_replace('/[.,]/', '', $text);
            throw new Unreadable(sprintf('“%s” could be %s mm or %s mm. Type %s, or add the unit and a 0: %s0 mm.', $text, $plain, str_replace(',', '.', $text), $plain, str_replace(',', '.', $text)));
        }
    }

    private function clash(Unit $first, Unit $second): Unreadable
    {
        return new Unreadable(sprintf('“%s” mixes %s and %s in one length. Use one system, or add them: 2 ft + 30 mm.', $this->tokens->typed, $first->value, $second->value));
    }

    private function unexpected(): Unreadable
    {
        $next = $this->tokens->next();

        return $next === null
            ? new Unreadable(sprintf('“%s” stops in the middle. A number is missing at the end.', $this->tokens->typed))
            : new Unreadable(sprintf('“%s” was not expected where it stands in “%s”. Type a length such as 31 5/8 in or 803 mm.', $next, $this->tokens->typed));
    }
}
