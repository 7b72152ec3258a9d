<?php

declare(strict_types=1);

namespace Incastro\Measure;

/**
 * How a length that a person will cut came about: named steps, each with its value, and their running result.
 *
 * The sum is made here, so that the steps cannot disagree with the result.
 */
final readonly class Working
{
    /** @param non-empty-list<WorkingStep> $steps */
    private function __construct(public array $steps, public Length $result)
    {
    }

    public static function start(string $label, Length $value): self
    {
        return new self([new WorkingStep($label, '', $value)], $value);
    }

    public function plus(string $label, Length $value): self
    {
        return $this->with(new WorkingStep($label, '+', $value), $this->result->plus($value));
    }

    public function minus(string $label, Length $value): self
    {
        return $this->with(new WorkingStep($label, '−', $value), $this->result->minus($value));
    }

    /** Takes the value off so many times: "two sides, 18 each". */
    public function minusTimes(string $label, int $times, Length $value): self
    {
        return $this->with(new WorkingStep($label, '− '.$times.' ×', $value), $this->result->minus($value->times($times)));
    }

    /** Adds the value so many times: "three boards, 18 each". */
    public function plusTimes(string $label, int $times, Length $value): self
    {
        return $this->with(new WorkingStep($label, '+ '.$times.' ×', $value), $this->result->plus($value->times($times)));
    }

    /** Takes so many parts of all: "its share, 4 of 12". */
    public function share(string $label, int $parts, int $of): self
    {
        $share = $this->result->times($parts)->dividedBy($of);

        return $this->with(new WorkingStep($label, "× $parts/$of", $share), $share);
    }

    public function dividedBy(string $label, int $parts): self
    {
        return $this->with(new WorkingStep($label, '÷ '.$parts, $this->result->dividedBy($parts)), $this->result->dividedBy($parts));
    }

    /** Rounds down to the working fraction: for what must go into a space. */
    public function roundedDown(LengthFormat $format): self
    {
        $rounded = $this->result->roundedDown($format->step);

        return $rounded->isEqualTo($this->result) ? $this
            : $this->with(new WorkingStep('down to '.$format->stepName(), '→', $rounded), $rounded);
    }

    /** Rounds up to the working fraction: for what covers a gap. */
    public function roundedUp(LengthFormat $format): self
    {
        $rounded = $this->result->roundedUp($format->step);

        return $rounded->isEqualTo($this->result) ? $this
            : $this->with(new WorkingStep('up to '.$format->stepName(), '→', $rounded), $rounded);
    }

    /** Takes the smaller limit when there is one below the result, and says whose limit it is. */
    public function atMost(string $label, Length $limit): self
    {
        return $limit->isLessThan($this->result)
            ? $this->with(new WorkingStep($label, '≤', $limit), $limit)
            : $this;
    }

    /** Takes the larger limit when there is one above the result, and says whose limit it is. */
    public function atLeast(string $label, Length $limit): self
    {
        return $limit->isGreaterThan($this->result)
            ? $this->with(new WorkingStep($label, '≥', $limit), $limit)
            : $this;
    }

    private function with(WorkingStep $step, Length $result): self
    {
        return new self([...$this->steps, $step], $result);
    }
}
