<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;

/**
 * The handbook's table "Closing a gap": the first row that holds, and why. Nothing and caulk cover no more than they cover:
 * there the doubt of the gap counts as gap.
 */
final readonly class ClosingTable
{
    private const NOTHING = 1.5;

    private const CAULK = 4.0;

    private const BANDED = 'a banded edge is not cut; a strip beside it is';

    public function __construct(private HouseRules $rules, private LengthFormat $format)
    {
    }

    /**
     * @param  bool  $isCuttable  whether its edge is one that is cut to the house: a banded one is not
     * @return array{Closing, string} the closing and the reason in words
     */
    public function choose(Gap $gap, ?Closing $wish, bool $isCuttable = true): array
    {
        if ($wish !== null) {
            $refused = $wish === Closing::Scribe && ! $isCuttable ? self::BANDED : $this->refuses($wish, $gap);
            if ($refused === null) {
                return [$wish, 'chosen by you'];
            }
            [$closing, $reason] = $this->choose($gap, null, $isCuttable);

            return [$closing, $refused.'; '.$reason];
        }

        return match (true) {
            $gap->most + $gap->doubt() <= self::NOTHING => [Closing::Nothing, 'never more than '.$this->mm(self::NOTHING)],
            $gap->most + $gap->doubt() <= self::CAULK && $this->rules->painted => [Closing::Caulk, 'never more than '.$this->mm(self::CAULK).', and painted'],
            ! $isCuttable => [Closing::Filler, self::BANDED],
            $gap->most <= $this->rules->mm(Rule::ScribeMost) => [Closing::Scribe, sprintf('up to %s, which a wider edge can take', $this->mm($gap->most))],
            default => [Closing::Filler, sprintf('%s is more than an edge of %s can take', $this->mm($gap->most), $this->mm($this->rules->mm(Rule::ScribeMost)))],
        };
    }

    /** What must stay free at the tightest place for this closing, in mm; null when it asks for nothing. */
    public function reserve(Closing $closing): ?float
    {
        return match ($closing) {
            Closing::Filler => $this->rules->mm(Rule::FillerLeast),
            Closing::ShadowGap => $this->rules->mm(Rule::ShadowGap),
            default => null,
        };
    }

    /** Why a wished closing cannot be had at this gap, or null. */
    private function refuses(Closing $wish, Gap $gap): ?string
    {
        $trim = $gap->most + $this->rules->mm(Rule::TrimLap) + $gap->doubt();

        return match (true) {
            ($wish === Closing::Scribe || $wish === Closing::Filler) && $gap->most < 0.0 => 'there is no gap, but an overlap',
            $wish === Closing::Trim && $trim > $this->rules->mm(Rule::TrimFace) => sprintf('trim of %s is too narrow: %s are needed', $this->mm($this->rules->mm(Rule::TrimFace)), $this->mm($trim)),
            $wish === Closing::Caulk && $gap->most > self::CAULK => sprintf('caulk does not bridge %s', $this->mm($gap->most)),
            $wish === Closing::Scribe && $gap->most > 2 * $this->rules->mm(Rule::ScribeMost) => sprintf('%s is too much for a scribed edge', $this->mm($gap->most)),
            default => null,
        };
    }

    private function mm(float $millimetres): string
    {
        return $this->format->write(Length::ofDouble($millimetres));
    }
}
