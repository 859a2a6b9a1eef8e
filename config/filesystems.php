<?php

declare(strict_types=1);

return [
    'default' => 'local',
    // Nothing of it is served to a browser.
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true]],
];
