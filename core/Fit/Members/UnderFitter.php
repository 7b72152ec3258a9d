<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/** Places what carries boxes from below. */
final readonly class UnderFitter
{
    /** Shorter or shallower than this it carries nothing, mm. */
    private const LEAST = 60.0;

    public function __construct(private Terms $terms, private RunFrame $frame)
    {
    }

    /**
     * A plinth for every row of boxes that stand side by side on it, no longer than one piece is made: no wider than they, and
     * between the walls where it stands.
     *
     * @param  list<Member>  $members
     * @param  list<Box>  $boxes
     * @return list<Under>
     */
    public function rows(array $members, array $boxes, Marks $marks): array
    {
        $placed = [];
        $height = $this->terms->rules->get(Rule::PlinthHeight);
        foreach ($members as $member) {
            $rows = [];
            foreach ($boxes as $box) {
                $stands = abs($box->z - $height->toDouble()) < 1e-6 && array_filter($member->cells, $box->holds(...)) !== [];
                if (! $stands) {
                    continue;
                }
                $row = $rows === [] ? null : $rows[count($rows) - 1];
                $isOne = $row !== null && abs($row[count($row) - 1]->right() - $box->u) < 1.0 && $box->right() - $row[0]->u <= $this->terms->rule(Rule::LongestPiece);
                if ($row !== null && $isOne) {
                    $rows[count($rows) - 1][] = $box;
                } else {
                    $rows[] = [$box];
                }
            }
            foreach ($rows as $i => $row) {
                $length = $this->length($row);
                if ($length->result->toDouble() >= self::LEAST) {
                    $id = $i === 0 ? $member->id : $member->id.'/'.$row[0]->id;
                    $placed[] = $this->place($member->holds, $id, $marks->ofRow($member->letter(), $member->id, $i, $id), $row, $length);
                }
            }
        }

        return $placed;
    }

    /** @param non-empty-list<Box> $row */
    private function length(array $row): Working
    {
        $span = $this->terms->room->span($this->frame, new Path(0.0, $this->frame->mouth(), 0.0, $this->terms->rule(Rule::PlinthHeight)), $this->terms->rules->skirtingStays);
        $wide = count($row) === 1 ? Working::start('width of the box', $row[0]->outerWidth()) : Working::start('boxes side by side', Length::ofDouble($row[count($row) - 1]->right() - $row[0]->u));

        return $wide
            ->atMost('clear span at the floor less allowances and doubt', Length::ofDouble($span->width - $span->doubt)->minus($this->terms->rules->get(Rule::SideAllowance)->times(2)))
            ->roundedDown($this->terms->format);
    }

    /** @param non-empty-list<Box> $row */
    private function place(SpansCells $holds, string $id, string $mark, array $row, Working $length): Under
    {
        $last = $row[count($row) - 1];
        $shallowest = $foremost = $row[0];
        foreach ($row as $box) {
            $shallowest = $box->face() < $shallowest->face() ? $box : $shallowest;
            $foremost = $box->v > $foremost->v ? $box : $foremost;
        }
        $depth = Working::start(count($row) === 1 ? 'depth of the box' : 'depth over which all its boxes stand', Length::ofDouble($shallowest->face() - $foremost->v));
        $ledge = $holds->demand($this->terms->rules, $this->terms->materials)->overhang;
        $depth = ($ledge->isZero() ? $depth->minus('set back for toes', $this->terms->rules->get(Rule::PlinthSetback)) : $depth->plus('stands out before them', $ledge))
            ->atLeast('least that carries a box', Length::ofDouble(self::LEAST))
            ->roundedDown($this->terms->format);

        return new Under($holds, $id, $mark, $row[0]->u + ($last->right() - $row[0]->u - $length->result->toDouble()) / 2, $foremost->v, $length, $depth, $this->terms->rules->get(Rule::PlinthHeight), $row, $ledge);
    }
}
