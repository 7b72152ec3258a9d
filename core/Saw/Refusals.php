<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Says of each cut that no tool makes why that is, what would make it, and which pieces hang on it. */
final readonly class Refusals
{
    public function __construct(private Forest $forest, private Tools $tools, private LengthFormat $format)
    {
    }

    /** @return list<Impossible> */
    public function of(Order $order): array
    {
        $impossible = [];
        foreach ($this->forest->cuts() as $c => $cut) {
            if ($cut->way === null) {
                $takes = $this->forest->parts()[$cut->takes];
                $impossible[] = new Impossible($takes, $this->because($cut), $this->waysOut($cut), $this->pieces($c, $order));
            }
        }

        return $impossible;
    }

    private function because(PlannedCut $cut): string
    {
        $reasons = [];
        if ($this->tools->guided !== null) {
            $reasons[] = $cut->line > $this->tools->guided->reach()
                ? sprintf('a cut of %s needs a guide of %s', $this->text($cut->line), $this->text($cut->line + $this->tools->guided->runOn))
                : 'the guided saw does not cut so deep';
        }
        if ($this->tools->table !== null) {
            $reasons[] = match (true) {
                $cut->size > $this->tools->table->rip => sprintf('the fence reaches %s, not %s', $this->text($this->tools->table->rip), $this->text($cut->size)),
                $cut->kg > $this->tools->push() => sprintf('the part weighs %.1f kg, and over the table saw goes up to %.0f kg', $cut->kg, $this->tools->push()),
                $cut->line < max($this->tools->table->leastContact, $cut->size) => sprintf('only %s of it lie along the fence: it would turn', $this->text($cut->line)),
                default => sprintf('nothing carries a part of %s behind the table saw', $this->text($cut->line)),
            };
        }
        if ($this->tools->mitre !== null && $cut->class === CutClass::Crosscut) {
            $reasons[] = match (true) {
                $cut->line > $this->tools->mitre->widest => sprintf('the mitre saw cuts parts up to %s wide, not %s', $this->text($this->tools->mitre->widest), $this->text($cut->line)),
                $cut->size < $this->tools->mitre->leastHeld => sprintf('%s is too short to be held at the mitre saw', $this->text($cut->size)),
                default => sprintf('the stop of the mitre saw reaches %s, not %s', $this->text($this->tools->mitre->stop), $this->text($cut->size)),
            };
        }

        return $reasons === [] ? 'No saw for straight cuts is among the tools.' : ucfirst(implode('; ', $reasons)).'.';
    }

    /** @return list<string> */
    private function waysOut(PlannedCut $cut): array
    {
        $ways = ['Let the yard make this cut.'];
        if ($this->tools->guided !== null) {
            $ways[] = sprintf('A guide of %s would do.', $this->text($cut->line + $this->tools->guided->runOn));
        }
        if ($this->tools->table !== null && $this->tools->people === 1 && $cut->kg > $this->tools->table->pushAlone && $cut->kg <= $this->tools->table->pushTwo && $cut->size <= $this->tools->table->rip) {
            $ways[] = 'A second person would do.';
        }

        return $ways;
    }

    /** @return list<string> marks of pieces that are freed by this cut, or after it, and by nothing else in the order */
    private function pieces(int $from, Order $order): array
    {
        $all = $this->forest->cuts();
        $behind = [$from => true];
        $pieces = [];
        foreach ($all as $c => $cut) {
            if (isset($behind[$c]) || array_intersect_key(array_flip($cut->needs), $behind) !== []) {
                $behind[$c] = true;
            }
        }
        foreach (array_keys($behind) as $c) {
            $freed = $this->forest->parts()[$all[$c]->frees];
            if ($freed->piece !== null && $order->done[$c] === '0') {
                $pieces[$freed->piece] = true;
            }
        }

        return array_keys($pieces);
    }

    private function text(int $nanometres): string
    {
        return $this->format->write(Length::ofNanometres($nanometres));
    }
}
