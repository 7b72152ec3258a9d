<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Check\Tooling;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\WayOut;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestTerms;

final class ToolingTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $changes
     * @param  array<string, mixed>  $holds
     */
    private function plan(array $changes, array $holds): SpacePlan
    {
        $bay = Doc::bay('a', [Doc::tier('a-1', ['holds' => $holds])]);

        return (new TestKind(SpaceKind::Alcove, changes: $changes))->plan(['runs' => [Doc::run('r', 0, [$bay])], 'members' => [Recipe::plinth('p', ['a'])]] + Doc::none());
    }

    /** @return list<Finding> */
    private static function said(SpacePlan $plan): array
    {
        return array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::ToolLacks));
    }

    public function test_pocket_screws_without_a_jig_are_said_with_another_way(): void
    {
        $said = self::said($this->plan(['tools' => ['pocket-jig' => false]], Recipe::box(1, 1)));
        self::assertSame(['Boxes are joined with pocket screws, and there is no pocket-hole jig among the tools.'], array_map(fn (Finding $finding) => $finding->sentence, $said));
        // Both ways were planned with, and are the job's.
        self::assertSame([['Join boxes with screws through their sides', 'schools.box_joint', 'screws', true], ['There is a pocket-hole jig', 'tools.pocket-jig', true, true]], array_map(fn (WayOut $way) => [$way->label, $way->edit->path, $way->edit->value, $way->isOfJob], $said[0]->waysOut));
        self::assertSame([], self::said($this->plan(['tools' => ['pocket-jig' => false], 'schools' => ['box_joint' => 'screws']], Recipe::box(1, 1))));
    }

    public function test_a_groove_needs_a_router_or_a_table_saw(): void
    {
        self::assertSame([], self::said($this->plan(['tools' => ['router' => false]], Doc::holds('drawers', []))));
        $said = self::said($this->plan(['tools' => ['router' => false, 'table-saw' => false]], Doc::holds('drawers', [])));
        self::assertSame(['Drawer bottoms stand in grooves, and there is no router or table saw among the tools.'], array_map(fn (Finding $finding) => $finding->sentence, $said));
    }

    public function test_a_bevel_steeper_than_saws_tilt_is_said_with_the_other_cut(): void
    {
        $material = TestTerms::materials()->carcass;
        $size = Working::start('chosen', Length::ofMillimetres(500));
        $bevelled = fn (float $degrees) => new Assembly([new Placed(new Piece("b:$degrees", "B1-$degrees", 'Top', $size, $size, $material->thickness, Purpose::Carcass, $material, Grain::Length, Outline::rectangle(0.0, 0.0, 500.0, 500.0), [new Bevelled('top, short', deg2rad($degrees))]), Pose::at(0.0, 0.0, 0.0, Way::Up, Way::Out, Way::Right), Part::Body, 'b')]);
        $said = (new Tooling(new HouseRules(Unit::Millimetre)))->findings([], [$bevelled(44.9), $bevelled(52.0)]);
        self::assertSame(['The bevel of B1-52 is 52.0° off square; most saws tilt to 45°. Cut it at 38.0° with the piece on edge against a tall fence, well clamped, or along a guide.'], array_map(fn (Finding $finding) => $finding->sentence, $said));
        // Under 0.3° it is square.
        self::assertSame([], $bevelled(0.2)->placed[0]->piece->sawSettings());
    }
}
