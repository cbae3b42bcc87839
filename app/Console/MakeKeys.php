<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Company;
use App\Records\CompanyKeys;
use Illuminate\Console\Command;
use IronStart\Core\Chain\Seal;

/** Makes the key of every company that has none yet, and tells the fingerprints. */
final class MakeKeys extends Command
{
    protected $signature = 'company:keys';

    protected $description = 'Make the keys companies vouch for their records with, where there is none yet, and tell their fingerprints';

    public function handle(CompanyKeys $keys): int
    {
        foreach (Company::query()->orderBy('id')->get() as $company) {
            $this->line(Seal::fingerprint($keys->of($company->id)->publicKey()) . "  $company->name");
        }

        return self::SUCCESS;
    }
}
