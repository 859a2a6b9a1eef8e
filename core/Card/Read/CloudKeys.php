<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Text\KnownWords;

/**
 * The keys that cloud-init knows: those of its own schema (22.4, schema-cloud-config-v1.json), and those that its
 * stages read without a schema; subscriptions of a maker are left out. What is not among them is passed over without a
 * word.
 */
final class CloudKeys
{
    private const TOP = <<<'KEYS'
    allow_public_ssh_keys allow_userdata ansible apk_repos apt apt_pipelining apt_reboot_if_required apt_update apt_upgrade
    authkey_hash autoinstall bootcmd byobu_by_default ca-certs ca_certs chef chpasswd cloud_config_modules cloud_final_modules
    cloud_init_modules create_hostname_file datasource datasource_list device_aliases disable_ec2_metadata disable_root
    disable_root_opts disk_setup drivers fan final_message fqdn fs_setup groups growpart grub-dpkg grub_dpkg hostname keyboard
    landscape locale locale_configfile lxd manage_etc_hosts manage_resolv_conf manual_cache_clean mcollective merge_how merge_type
    migrate mount_default_fields mounts no_ssh_fingerprints ntp output package_reboot_if_required package_update
    package_upgrade packages password phone_home power_state prefer_fqdn_over_hostname preserve_hostname puppet random_seed reporting
    resize_rootfs resolv_conf rh_subscription rsyslog runcmd salt_minion snap spacewalk ssh ssh_authorized_keys ssh_deletekeys
    ssh_fp_console_blacklist ssh_genkeytypes ssh_import_id ssh_key_console_blacklist ssh_keys ssh_publish_hostkeys ssh_pwauth
    ssh_quiet_keygen swap syslog_fix_perms system_info timezone updates user users vendor_data vendor_data2 wireguard
    write_files yum_repo_dir yum_repos zypper
    KEYS;

    private const OF_AN_ACCOUNT = <<<'KEYS'
    create_groups doas expiredate gecos groups hashed_passwd homedir inactive lock-passwd lock_passwd name no_create_home no_log_init
    no_user_group passwd plain_text_passwd primary_group selinux_user shell snapuser ssh_authorized_keys ssh_import_id
    ssh_redirect_user sudo system uid
    KEYS;

    public static function top(): KnownWords
    {
        return KnownWords::of(self::TOP);
    }

    /** Of an entry under `users`. */
    public static function ofAnAccount(): KnownWords
    {
        return KnownWords::of(self::OF_AN_ACCOUNT);
    }
}
