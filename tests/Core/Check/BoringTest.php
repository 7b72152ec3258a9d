<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Check\Boring;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

final class BoringTest extends TestCase
{
    private static function terms(): Terms
    {
        return TestTerms::of(TestAlcove::leaning()->survey()->room);
    }

    /** A side of 900 × 400 × 18 with marks on it. */
    private static function side(Mark ...$marks): Assembly
    {
        $material = self::terms()->materials->carcass;
        [$long, $wide] = [Working::start('chosen', Length::ofMillimetres(900)), Working::start('chosen', Length::ofMillimetres(400))];
        $piece = new Piece('box:side-L', 'B1-side-L', 'Side', $long, $wide, $material->thickness, Purpose::Carcass, $material, Grain::Length, Outline::rectangle(0.0, 0.0, 900.0, 400.0), marks: array_values($marks));

        return new Assembly([new Placed($piece, Pose::at(0.0, 0.0, 0.0, Way::Up, Way::Out, Way::Right), Part::Body, 'box')]);
    }

    private static function hole(MarkKind $kind, float $x, float $y, string $partner, float $across, ?float $deep = null, bool $isUp = true): Mark
    {
        return new Mark($kind, [new Point($x, $y)], $isUp, $partner, $across, $deep);
    }

    /** @return array<string, array{list<Mark>, ?string}> */
    public static function marked(): array
    {
        $pin = self::hole(MarkKind::PinRow, 300.0, 37.0, 'B1-shelf', 5.0, 10.0);
        $dado = new Mark(MarkKind::Dado, [new Point(309.0, 0.0), new Point(309.0, 400.0)], true, 'B1-board', 18.2, 6.0);

        return [
            // Of 5 and 4.5 mm: half of both is 4.75, and no less than 8 from middle to middle.
            'near' => [[$pin, self::hole(MarkKind::Screw, 304.0, 43.0, 'W1-top', 4.5)], 'On B1-side-L the pin hole for B1-shelf and the screw hole for W1-top lie 7.2 mm apart.'],
            'far enough' => [[$pin, self::hole(MarkKind::Screw, 308.0, 37.0, 'W1-top', 4.5)], null],
            // A cup of 35 and a screw of 4.5: 19.75 and a millimetre of wood.
            'beside a cup' => [[self::hole(MarkKind::Cup, 100.0, 22.5, 'B1-stile', 35.0, 13.0), self::hole(MarkKind::Screw, 100.0, 43.0, 'W1-top', 4.5)], 'On B1-side-L the hinge cup for B1-stile and the screw hole for W1-top lie 20.5 mm apart.'],
            'of one joint' => [[$pin, self::hole(MarkKind::PinRow, 304.0, 37.0, 'B1-shelf', 5.0, 10.0)], null],
            // From both faces 8 and 8 of 18 leave 2; 10 and 8 leave none.
            'from both faces' => [[self::hole(MarkKind::PinRow, 300.0, 37.0, 'B1-shelf', 5.0, 8.0), self::hole(MarkKind::PinRow, 300.0, 37.0, 'B1-shelf-2', 5.0, 8.0, false)], null],
            'through each other' => [[$pin, self::hole(MarkKind::PinRow, 300.0, 37.0, 'B1-shelf-2', 5.0, 8.0, false)], 'On B1-side-L the pin hole for B1-shelf and the pin hole for B1-shelf-2 meet.'],
            'through a dado' => [[$dado, self::hole(MarkKind::Screw, 315.0, 200.0, 'B1-cleat', 4.5)], 'On B1-side-L the screw hole for B1-cleat and the dado for B1-board meet.'],
            'beside a dado' => [[$dado, self::hole(MarkKind::Screw, 320.0, 200.0, 'B1-cleat', 4.5)], null],
            'at an edge' => [[self::hole(MarkKind::Screw, 300.0, 5.0, 'B1-back', 4.5)], 'A screw hole for B1-back lies 5 mm from an edge of B1-side-L and may split it. Bore it first, and clamp the edge.'],
        ];
    }

    /** @param list<Mark> $marks */
    #[DataProvider('marked')]
    public function test_holes_that_cannot_be_bored_are_said(array $marks, ?string $sentence): void
    {
        $findings = (new Boring(self::terms()))->findings(self::side(...$marks));
        self::assertSame($sentence === null ? [] : [$sentence], array_map(fn (Finding $finding) => $finding->sentence, $findings));
    }

    public function test_a_pocket_screw_that_is_too_long_is_a_clash(): void
    {
        $articles = array_values(array_filter(JobChoices::defaults('', 'mm/1')['articles'], fn (array $one) => $one['article'] !== 'pocket-screw' || $one['length']['typed'] === '38'));
        $plan = TestLayout::of([TestLayout::bay('a')])->changing(['articles' => $articles])->plan();
        $said = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::ScrewComesOut));
        self::assertSame(['The shortest that the job can buy, pocket screw, 38 mm, comes out by 6 mm where B1-bottom meets B1-side-L. Give the job a shorter one among its hardware.'], array_map(fn (Finding $finding) => $finding->sentence, $said));
        self::assertSame('clash', $plan->verdict->state);
    }

    public function test_a_worktops_screws_give_way_to_the_pockets_of_the_top_under_it(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(700), 'holds' => Recipe::box(0, 1)]), Doc::tier('a-2', ['joined' => false, 'holds' => Doc::holds('gap')])])]);
        $layout->layout['members'][] = Doc::member('w', 'worktop', ['a-1']);
        $plan = $layout->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->code->isAboutMarks()));
        $tops = array_values(array_filter($plan->marked(), fn (Piece $piece) => $piece->mark === 'B1-top'));
        $kinds = array_count_values(array_map(fn (Mark $mark) => $mark->kind->value, $tops[0]->marks));
        self::assertSame([2, 1], [$kinds['pocket'], $kinds['screw']]);
    }

    public function test_a_divider_between_two_shelves_is_bored_from_both_faces_and_keeps_its_middle(): void
    {
        $plan = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b', ['joined' => true])])->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->code->isAboutMarks()));
        $pins = fn (string $piece) => array_values(array_filter(array_merge(...array_map(fn (Piece $one) => $one->mark === $piece ? $one->marks : [], $plan->marked())), fn (Mark $mark) => $mark->kind === MarkKind::PinRow));
        // 18/2 − 1 from each face; a side is bored from one.
        self::assertSame([8.0, 8.0, 8.0, 8.0], array_map(fn (Mark $mark) => $mark->depth, $pins('B1-divider-1')));
        self::assertSame([10.0, 10.0], array_map(fn (Mark $mark) => $mark->depth, $pins('B1-side-L')));
    }

    public function test_rows_of_shelves_near_each_other_share_their_wood(): void
    {
        // Six shelves in some 700: about 85 clear and a board, so that rows of 32 would come within 2 of the next shelf's.
        $plan = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(760), 'holds' => Recipe::box(0, 6)]), Doc::tier('a-2', ['joined' => false, 'holds' => Doc::holds('gap')])])])->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::MarksCross));
        $side = array_values(array_filter($plan->marked(), fn (Piece $piece) => $piece->mark === 'B1-side-L'))[0];
        $rows = array_values(array_filter($side->marks, fn (Mark $mark) => $mark->kind === MarkKind::PinRow));
        self::assertCount(6, $rows);
        foreach ($rows as $i => $row) {
            foreach (array_slice($rows, $i + 1) as $other) {
                foreach ($other->at as $point) {
                    self::assertFalse($row->isNear($point, 5.0));
                }
            }
        }
    }
}
