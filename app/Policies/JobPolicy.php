<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Job;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class JobPolicy
{
    public function own(User $user, Job $job): Response
    {
        return (new HomePolicy())->own($user, $job->home);
    }
}
