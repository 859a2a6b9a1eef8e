<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** Where the picture of the house comes from, part by part. */
interface Records
{
    /** @return list<Box> those that have a name, in the order of the record */
    public function boxes(): array;

    /** @return list<HouseNetwork> the home network first */
    public function networks(): array;

    /** @return list<Service> */
    public function services(): array;

    /** @return list<Opening> */
    public function openings(): array;

    /** @return list<Dependency> */
    public function dependencies(): array;

    /** @return list<Fill> of each file system that was ever told */
    public function fills(): array;

    /** @return list<DriveHealth> of each drive that was ever told */
    public function drives(): array;

    /** @return list<WayIn> */
    public function waysIn(): array;

    /** @return list<Listing> the last one of each box that ever told */
    public function listings(): array;

    /** @return list<Trial> the last one of each port that was ever tried from outside */
    public function trials(): array;

    /** @return list<PacketFilter> the last one of each box that ever told */
    public function packetFilters(): array;

    /** @return list<EngineGroup> the last one of each box that ever told */
    public function engineGroups(): array;

    /** @return list<Certificate> that pages showed when they were last asked */
    public function certificates(): array;

    /** Null where the house has no name outside. */
    public function outsideName(): ?OutsideName;

    /** @return list<Copying> what is copied of the boxes */
    public function copyings(): array;

    /** @return list<Care> what the household does by itself, again and again */
    public function cares(): array;

    /** @return array<string, DateTimeImmutable> until when releases get updates, by codename */
    public function releases(): array;

    /** @return list<Reported> the last report of each box that ever sent one */
    public function reports(): array;

    /** @return list<NameCheck> names that resolvers of the house are asked again and again */
    public function nameChecks(): array;

    /** Who asks whom for names. */
    public function resolvers(): Resolvers;

    /** @return list<FolderPair> folders that are kept alike with another machine */
    public function folderPairs(): array;

    /** @return list<RetiredBox> that were taken out of service and are still in the record */
    public function retired(): array;

    /** @return list<Hours> the rhythm of the house */
    public function hours(): array;
}
