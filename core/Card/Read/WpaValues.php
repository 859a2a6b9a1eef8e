<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/**
 * What each field of wpa_supplicant.conf takes (wpa_supplicant 2.10, config.c and config_file.c; every field was tried
 * with twenty values). One value of another form, and the whole file is dropped. Fields that take anything, and those
 * whose form no home needs, are not listed.
 */
final class WpaValues
{
    /** Whole numbers with their largest value; a least one below zero is only held where it is named. */
    private const NUMBERS = [
        'acs' => 1, 'beacon_prot' => 1, 'disable_ht' => 1, 'disable_ldpc' => 1, 'disable_sgi' => 1, 'disable_vht' => 1,
        'enable_edmg' => 1, 'fixed_freq' => 1, 'ft_eap_pmksa_caching' => 1, 'ht' => 1, 'ht40_intolerant' => 1,
        'macsec_integ_only' => 1, 'macsec_policy' => 1, 'macsec_replay_protect' => 1, 'mixed_cell' => 1,
        'no_auto_peer' => 1, 'owe_only' => 1, 'owe_ptk_workaround' => 1, 'proactive_key_caching' => 1, 'scan_ssid' => 1,
        'vht' => 1, 'wps_disabled' => 1, 'ocv' => 1, 'disabled' => 2, 'dpp_pfs' => 2, 'ignore_broadcast_ssid' => 2,
        'pbss' => 2, 'sae_pk' => 2, 'wpa_deny_ptk0_rekey' => 2, 'ieee80211w' => 3, 'max_oper_chwidth' => 3, 'mode' => 5,
        'mka_priority' => 255, 'transition_disable' => 255, 'fils_dh_group' => 65535, 'owe_group' => 65535,
        'frequency' => 70200, 'ap_isolate' => 1, 'auto_interworking' => 1, 'auto_uuid' => 1, 'cert_in_cb' => 1,
        'coloc_intf_reporting' => 1, 'disable_btm' => 1, 'disassoc_low_ack' => 1, 'extended_key_id' => 1,
        'filter_ssids' => 1, 'ftm_initiator' => 1, 'ftm_responder' => 1, 'go_internet' => 1, 'go_interworking' => 1,
        'hs20' => 1, 'ignore_old_scan_res' => 1, 'interworking' => 1, 'p2p_add_cli_chan' => 1, 'p2p_cli_probe' => 1,
        'p2p_ignore_shared_freq' => 1, 'p2p_intra_bss' => 1, 'p2p_optimize_listen_chan' => 1, 'pbc_in_m1' => 1,
        'persistent_reconnect' => 1, 'sae_pmkid_in_assoc' => 1, 'wps_cred_add_sae' => 1, 'dpp_config_processing' => 2,
        'gas_rand_mac_addr' => 2, 'wps_cred_processing' => 2, 'oce' => 3, 'p2p_go_freq_change_policy' => 3,
        'sae_pwe' => 3,
    ];

    /** Whole numbers between two bounds. */
    private const BETWEEN = [
        'ampdu_density' => [-1, 7], 'ampdu_factor' => [-1, 3], 'rx_stbc' => [-1, 3], 'disable_ht40' => [-1, 1],
        'disable_max_amsdu' => [-1, 1], 'ht40' => [-1, 1], 'tx_stbc' => [-1, 1], 'eapol_version' => [1, 3],
        'mbo_cell_capa' => [1, 3],
    ];

    /** Whole numbers of any size. */
    private const ANY_NUMBER = [
        'ap_max_inactivity', 'beacon_int', 'bg_scan_period', 'dot11MeshConfirmTimeout', 'dot11MeshHoldingTimeout',
        'dot11MeshMaxRetries', 'dot11MeshRetryTimeout', 'dpp_netaccesskey_expiry', 'dtim_period', 'eap_workaround',
        'eapol_flags', 'engine', 'engine2', 'erp', 'fragment_size', 'group_rekey', 'macsec_replay_window',
        'mem_only_psk', 'ocsp', 'priority', 'sim_num', 'update_identifier', 'vht_capa', 'vht_capa_mask',
        'vht_center_freq1', 'vht_center_freq2', 'wep_tx_keyidx', 'wpa_ptk_rekey', 'ap_scan', 'bss_expiration_age',
        'bss_expiration_scan_count', 'bss_max_count', 'disable_scan_offload', 'disassoc_imminent_rssi_threshold',
        'dot11RSNAConfigPMKLifetime', 'dot11RSNAConfigPMKReauthThreshold', 'dot11RSNAConfigSATimeout',
        'dot11RSNASAERetransPeriod', 'external_sim', 'fast_reauth', 'filter_rssi', 'gas_address3',
        'gas_rand_addr_lifetime', 'key_mgmt_offload', 'max_num_sta', 'mesh_max_inactivity', 'okc', 'p2p_6ghz_disable',
        'p2p_device_random_mac_addr', 'p2p_disabled', 'p2p_go_he', 'p2p_go_ht40', 'p2p_go_vht', 'p2p_group_idle',
        'p2p_interface_random_mac_addr', 'p2p_search_delay', 'passive_scan', 'update_config',
    ];

    /** Texts: in quotes, or hexadecimal digits in pairs. */
    private const TEXTS = [
        'altsubject_match', 'altsubject_match2', 'anonymous_identity', 'bgscan', 'ca_cert', 'ca_cert2', 'ca_cert_id',
        'ca_path', 'ca_path2', 'cert_id', 'check_cert_subject', 'check_cert_subject2', 'client_cert', 'client_cert2',
        'dh_file', 'dh_file2', 'domain_match', 'domain_match2', 'domain_suffix_match', 'domain_suffix_match2',
        'engine_id', 'id_str', 'identity', 'key_id', 'machine_identity', 'machine_password', 'openssl_ciphers',
        'pac_file', 'password', 'phase1', 'phase2', 'pin', 'pin2', 'private_key', 'private_key2',
        'private_key2_passwd', 'private_key_passwd', 'sae_password', 'sae_password_id', 'ssid', 'subject_match',
        'subject_match2',
    ];

    /** One or more of these words. */
    private const WORDS = [
        'key_mgmt' => [
            'WPA-PSK', 'WPA-EAP', 'IEEE8021X', 'NONE', 'WPA-NONE', 'FT-PSK', 'FT-EAP', 'FT-EAP-SHA384',
            'WPA-PSK-SHA256',
            'WPA-EAP-SHA256', 'WPS', 'SAE', 'FT-SAE', 'OSEN', 'WPA-EAP-SUITE-B', 'WPA-EAP-SUITE-B-192', 'FILS-SHA256',
            'FILS-SHA384', 'FT-FILS-SHA256', 'FT-FILS-SHA384', 'OWE', 'DPP',
        ],
        'proto' => ['WPA', 'RSN', 'WPA2', 'OSEN'],
        'auth_alg' => ['OPEN', 'SHARED', 'LEAP'],
        'pairwise' => ['CCMP', 'TKIP', 'GCMP', 'CCMP-256', 'GCMP-256', 'NONE'],
        'group' => ['CCMP', 'TKIP', 'WEP104', 'WEP40', 'GCMP', 'CCMP-256', 'GCMP-256', 'GTK_NOT_USED'],
        'group_mgmt' => ['AES-128-CMAC', 'BIP-GMAC-128', 'BIP-GMAC-256', 'BIP-CMAC-256'],
        'eap' => [
            'MD5', 'TLS', 'MSCHAPV2', 'PEAP', 'TTLS', 'GTC', 'OTP', 'SIM', 'LEAP', 'PSK', 'AKA', "AKA'", 'FAST', 'PAX',
            'SAKE', 'GPSK', 'IKEV2', 'PWD', 'EKE', 'WSC', 'TNC', '',
        ],
    ];

    /** strtol(3) with base 0: a sign, then decimal, octal or hexadecimal digits; nothing at all is 0. */
    private const NUMBER = '/^[ \t]*(?:[+-]?(?:0x[0-9a-f]+|0[0-7]*|[1-9][0-9]*))?$/Di';

    /** @return ?string what the field takes, in words; null where the value may stand */
    public static function against(string $name, string $value, bool $inBlock): ?string
    {
        $open = $inBlock && str_starts_with($value, '"') && ! str_contains(substr($value, 1), '"');

        return match (true) {
            $open => 'a closing quote',
            isset(self::NUMBERS[$name]) => self::number($value, null, self::NUMBERS[$name]),
            isset(self::BETWEEN[$name]) => self::number($value, ...self::BETWEEN[$name]),
            in_array($name, self::ANY_NUMBER, true) => self::number($value, null, null),
            $inBlock && in_array($name, self::TEXTS, true) => self::isText($value)
                ? null
                : 'a text in double quotes, or hexadecimal digits in pairs',
            isset(self::WORDS[$name]) => self::words($value, self::WORDS[$name]),
            $inBlock && $name === 'bssid' => self::isAddress($value)
                ? null
                : 'a hardware address such as 02:4b:1e:77:00:0a',
            $inBlock && preg_match('/^wep_key[0-3]$/D', $name) === 1 => self::isWepKey($value)
                ? null
                : 'a text of 5 or 13 characters in quotes, or 10 or 26 hexadecimal digits',
            default => null,
        };
    }

    private static function number(string $value, ?int $least, ?int $most): ?string
    {
        $is = preg_match(self::NUMBER, $value) === 1;
        $number = $is ? intval(trim($value), 0) : 0;
        if ($is && ($least === null || $number >= $least) && ($most === null || $number <= $most)) {
            return null;
        }

        return 'a whole number'.($most === null ? '' : ' from '.($least ?? 0)." to {$most}");
    }

    private static function isText(string $value): bool
    {
        return $value === 'NULL' ||
            preg_match('/^(?:P?".*"|(?:[0-9a-f]{2})*)$/Dsi', $value) === 1;
    }

    private static function isWepKey(string $value): bool
    {
        $form = '/^(?:"(?:.{5}|.{13}|.{16})"|[0-9a-f]{10}|[0-9a-f]{26}|[0-9a-f]{32}|)$/Dsi';

        return preg_match($form, $value) === 1;
    }

    private static function isAddress(string $value): bool
    {
        return preg_match('/^(?:|""|any|(?:[0-9a-f]{2}:){5}[0-9a-f]{2}.*)$/Dsi', $value) === 1;
    }

    /** @param  list<string>  $known */
    private static function words(string $value, array $known): ?string
    {
        $words = preg_split('/[ \t]+/', trim($value)) ?: [''];

        $shown = implode(', ', array_slice(array_filter($known), 0, 8));

        return array_diff($words, $known) === [] ? null : "one or more of {$shown}";
    }
}
