<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Label;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class LabelPolicy
{
    public function read(User $user, Label $label): Response
    {
        $job = $label->job()->with('home')->first();

        return $job !== null && JobPolicy::mayWork($user, $job->home, $job->id)->allowed() ? Response::allow() : Response::denyAsNotFound();
    }
}
