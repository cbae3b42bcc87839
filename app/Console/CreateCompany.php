<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Company;
use App\Models\User;
use App\Records\CompanyKeys;
use App\Support\Role;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** Makes a company and its first lead, where no demo is loaded and nobody can sign in yet. */
final class CreateCompany extends Command
{
    protected $signature = 'company:create {company : its name} {person : the first lead} {email}';

    protected $description = 'Make a company and its first lead, and print the password once';

    public function handle(CompanyKeys $keys): int
    {
        $email = mb_strtolower((string) $this->argument('email'));
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $this->error("\"$email\" is no e-mail address.");

            return self::FAILURE;
        }
        if (User::query()->where('email', $email)->exists()) {
            $this->error("Somebody signs in with $email already.");

            return self::FAILURE;
        }
        $password = Str::password(16, symbols: false);
        $company = Company::query()->create(['name' => (string) $this->argument('company'), 'units' => 'us', 'time_zone' => 'UTC']);
        User::query()->create(['company_id' => $company->id, 'name' => (string) $this->argument('person'), 'email' => $email, 'role' => Role::Lead, 'password' => $password]);
        $keys->of($company->id);
        $this->line("$email signs in with $password");

        return self::SUCCESS;
    }
}
