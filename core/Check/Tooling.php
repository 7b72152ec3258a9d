<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedRun;
use Incastro\Pieces\Works\SawCut;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Schools\BoxBack;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\Tool;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;

/** Whether the tools at hand make what is planned: what one of them alone can make, and nobody has, is told once. */
final readonly class Tooling
{
    /** How far most saws tilt, degrees. */
    private const TILTS = 45.0;

    public function __construct(private HouseRules $rules)
    {
    }

    /**
     * @param  list<FittedRun>  $runs
     * @param  list<Assembly>  $assemblies
     * @return list<Finding>
     */
    public function findings(array $runs, array $assemblies): array
    {
        $findings = [];
        foreach ($runs as $r => $run) {
            foreach ($assemblies[$r]->joints as $joint) {
                $tools = self::tools($joint);
                if ($tools !== [] && array_filter($tools, $this->rules->owns(...)) === []) {
                    $findings[$tools[0]->value] ??= $this->finding($joint, $tools, $run->run->id);
                }
            }
        }

        foreach ($assemblies as $assembly) {
            array_push($findings, ...self::steep($assembly));
        }

        return array_values($findings);
    }

    /** @return list<Finding> bevels that most saws do not tilt to */
    private static function steep(Assembly $assembly): array
    {
        $findings = [];
        foreach ($assembly->placed as $placed) {
            foreach ($placed->piece->sawSettings() as $setting) {
                if ($setting->cut() === SawCut::Bevel && $setting->degrees() > self::TILTS) {
                    $findings[] = Finding::warning(Code::BevelTooSteep, sprintf('The bevel of %s is %.1f° off square; most saws tilt to %.0f°. Cut it at %.1f° with the piece on edge against a tall fence, well clamped, or along a guide.', $placed->piece->mark, $setting->degrees(), self::TILTS, 90.0 - $setting->degrees()), $placed->owner);
                }
            }
        }

        return $findings;
    }

    /** @return list<Tool> of which one makes a joint; none where any workshop does */
    private static function tools(Joint $joint): array
    {
        return match ($joint->kind) {
            JointKind::Pocket => BoxJoint::Pocket->tools(),
            JointKind::Dado => BoxJoint::Dado->tools(),
            JointKind::Glue => $joint->shares > 0.0 ? BoxJoint::Dado->tools() : [],
            JointKind::Rabbet => BoxBack::Rabbeted->tools(),
            JointKind::Hinge => [Tool::HingeBit],
            JointKind::Screws, JointKind::Nails, JointKind::Pins, JointKind::Butt, JointKind::Slide => [],
        };
    }

    /** @param non-empty-list<Tool> $tools */
    private function finding(Joint $joint, array $tools, string $place): Finding
    {
        $what = match ($joint->kind) {
            JointKind::Pocket => 'Boxes are joined with pocket screws',
            JointKind::Dado => 'Boxes are joined in dadoes',
            JointKind::Rabbet => 'Backs lie in rabbets',
            JointKind::Hinge => 'Doors hang on concealed hinges, whose cups are bored',
            default => 'Drawer bottoms stand in grooves',
        };
        $names = implode(' or ', array_map(fn (Tool $tool) => lcfirst($tool->label()), $tools));
        $ways = [];
        if ($joint->kind === JointKind::Pocket || $joint->kind === JointKind::Dado) {
            $ways[] = WayOut::ofJob('Join boxes with screws through their sides', Edits::school('box_joint', BoxJoint::Screws->value));
        }
        if ($joint->kind === JointKind::Rabbet) {
            $ways[] = WayOut::ofJob('Lay backs on behind', Edits::school('back', BoxBack::LaidOn->value));
        }
        foreach ($tools as $tool) {
            $ways[] = WayOut::ofJob('There is a '.lcfirst($tool->label()), Edits::tool($tool, true));
        }

        return Finding::warning(Code::ToolLacks, "$what, and there is no $names among the tools.", $place)->withWaysOut($ways);
    }
}
