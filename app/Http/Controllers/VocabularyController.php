<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Incastro\Drawing\Paper;
use Incastro\Fit\Layout\TopForm;
use Incastro\Planning\WayChoices;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\Wood;
use Incastro\Rules\Schools\School;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Tool;
use Incastro\Survey\Room\WallKind;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Texture;
use Incastro\Survey\Things\Bears;
use Incastro\Survey\Things\Carries;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/** The words that a person chooses among: kinds of space, ceilings, how even walls are, things on faces and their rules, ways in, what things are made of and bought as, schools, tools. */
final class VocabularyController extends Controller
{
    public function show(): JsonResponse
    {
        return response()->json([
            'kinds' => array_map(fn (SpaceKind $kind) => ['value' => $kind->value, 'label' => $kind->label(), 'hint' => $kind->hint()], SpaceKind::cases()),
            'ceilings' => array_map(fn (CeilingKind $ceiling) => ['value' => $ceiling->value, 'label' => $ceiling->label()], CeilingKind::cases()),
            'textures' => array_map(fn (Texture $texture) => ['value' => $texture->value, 'label' => $texture->label(), 'hint' => $texture->gap()], Texture::offered()),
            'things' => array_map(fn (ThingKind $kind) => ['value' => $kind->value, 'label' => $kind->label(), 'round' => $kind->isRound(), 'cut_around' => $kind->isCutAround(), 'may_be_hot' => $kind->mayBeHot(), 'rule' => $kind->usualRule()->value, 'caution' => $kind->caution()], ThingKind::cases()),
            'rules' => array_map(fn (ThingRule $rule) => ['value' => $rule->value, 'label' => $rule->label()], ThingRule::cases()),
            'tops' => array_map(fn (TopForm $top) => ['value' => $top->value, 'label' => $top->label()], TopForm::cases()),
            'bears' => array_map(fn (Bears $one) => ['value' => $one->value, 'label' => lcfirst($one->label())], Bears::cases()),
            'wall_kinds' => array_map(fn (WallKind $one) => ['value' => $one->value, 'label' => $one->label()], WallKind::cases()),
            'carries' => array_map(fn (Carries $one) => ['value' => $one->value, 'label' => lcfirst($one->label())], Carries::cases()),
            'purposes' => array_map(fn (Purpose $purpose) => ['value' => $purpose->value, 'label' => $purpose->label(), 'falls_back_to' => $purpose->fallsBackTo()?->value], Purpose::cases()),
            'woods' => array_map(fn (Wood $wood) => ['value' => $wood->value, 'label' => $wood->label()], Wood::cases()),
            'articles' => array_map(fn (ArticleKind $kind) => ['value' => $kind->value, 'label' => $kind->label(), 'has_length' => $kind->hasLength(), 'has_load' => $kind->hasLoad()], ArticleKind::cases()),
            'schools' => array_map(fn (string $name, string $school) => [
                'name' => $name, 'question' => $school::question(),
                'choices' => array_map(fn (School $one) => ['value' => $one->value, 'label' => $one->label(), 'hint' => $one->reason()], $school::cases()),
            ], array_keys(Schools::ALL), Schools::ALL),
            'tools' => array_map(fn (Tool $tool) => ['value' => $tool->value, 'label' => $tool->label()], Tool::cases()),
            'papers' => array_map(fn (Paper $paper) => ['value' => $paper->value, 'label' => $paper->label()], Paper::cases()),
            'ways' => array_map(fn (string $value, string $label) => ['value' => $value, 'label' => $label], array_keys(WayChoices::KINDS), WayChoices::KINDS),
        ]);
    }
}
