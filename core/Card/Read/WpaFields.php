<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Text\KnownWords;

/**
 * The fields of wpa_supplicant.conf(5), each tried with wpa_supplicant 2.10. A field that it does not know drops the
 * whole file.
 */
final class WpaFields
{
    private const OF_A_NETWORK = <<<'FIELDS'
    acs altsubject_match altsubject_match2 ampdu_density ampdu_factor anonymous_identity ap_max_inactivity auth_alg beacon_int
    beacon_prot bg_scan_period bgscan bssid bssid_accept bssid_blacklist bssid_hint bssid_ignore bssid_whitelist ca_cert ca_cert2
    ca_cert_id ca_path ca_path2 cert_id check_cert_subject check_cert_subject2 client_cert client_cert2 dh_file dh_file2 disable_ht
    disable_ht40 disable_ldpc disable_max_amsdu disable_sgi disable_vht disabled domain_match domain_match2 domain_suffix_match
    domain_suffix_match2 dot11MeshConfirmTimeout dot11MeshHoldingTimeout dot11MeshMaxRetries dot11MeshRetryTimeout dpp_connector
    dpp_csign dpp_netaccesskey dpp_netaccesskey_expiry dpp_pfs dpp_pp_key dtim_period eap eap_workaround eapol_flags edmg_channel
    enable_edmg engine engine2 engine_id erp fils_dh_group fixed_freq fragment_size freq_list frequency ft_eap_pmksa_caching group
    group_mgmt group_rekey ht ht40 ht40_intolerant id_str identity ieee80211w ignore_broadcast_ssid imsi_identity key_id key_mgmt
    mac_addr machine_identity machine_password machine_phase2 macsec_integ_only macsec_policy macsec_port macsec_replay_protect
    macsec_replay_window max_oper_chwidth mem_only_psk mesh_basic_rates mesh_fwding mesh_rssi_threshold mixed_cell mka_cak mka_ckn
    mka_priority mode no_auto_peer ocsp ocv openssl_ciphers owe_group owe_only owe_ptk_workaround p2p_client_list pac_file pairwise
    password pbss pcsc phase1 phase2 pin pin2 priority private_key private_key2 private_key2_passwd private_key_passwd
    proactive_key_caching proto psk psk_list roaming_consortium_selection rx_stbc sae_password sae_password_id sae_pk scan_freq
    scan_ssid sim_num ssid subject_match subject_match2 transition_disable tx_stbc update_identifier vht vht_capa vht_capa_mask
    vht_center_freq1 vht_center_freq2 wep_key0 wep_key1 wep_key2 wep_key3 wep_tx_keyidx wpa_deny_ptk0_rekey wpa_ptk_rekey wps_disabled
    FIELDS;

    private const TOP = <<<'FIELDS'
    access_network_type ap_assocresp_elements ap_isolate ap_scan ap_vendor_elements auto_interworking auto_uuid autoscan beacon_int
    bgscan bss_expiration_age bss_expiration_scan_count bss_max_count cert_in_cb coloc_intf_reporting config_methods country
    ctrl_interface ctrl_interface_group device_name device_type disable_btm disable_scan_offload disassoc_imminent_rssi_threshold
    disassoc_low_ack dot11RSNAConfigPMKLifetime dot11RSNAConfigPMKReauthThreshold dot11RSNAConfigSATimeout dot11RSNASAERetransPeriod
    dpp_config_processing driver_param dtim_period eapol_version ext_password_backend extended_key_id external_sim fast_reauth
    filter_rssi filter_ssids freq_list fst_group_id ftm_initiator ftm_responder gas_address3 gas_rand_addr_lifetime gas_rand_mac_addr
    go_access_network_type go_internet go_interworking go_venue_group go_venue_type hessid hs20 ignore_old_scan_res initial_freq_list
    interworking key_mgmt_offload load_dynamic_eap mac_addr manufacturer max_num_sta max_peer_links mbo_cell_capa mesh_fwding
    mesh_max_inactivity model_name model_number non_pref_chan oce okc opensc_engine_path openssl_ciphers os_version osu_dir
    p2p_6ghz_disable p2p_add_cli_chan p2p_cli_probe p2p_device_random_mac_addr p2p_disabled p2p_go_ctwindow p2p_go_freq_change_policy
    p2p_go_he p2p_go_ht40 p2p_go_intent p2p_go_vht p2p_group_idle p2p_ignore_shared_freq p2p_interface_random_mac_addr p2p_intra_bss
    p2p_listen_channel p2p_listen_reg_class p2p_no_go_freq p2p_no_group_iface p2p_oper_channel p2p_oper_reg_class
    p2p_optimize_listen_chan p2p_passphrase_len p2p_pref_chan p2p_search_delay p2p_ssid_postfix passive_scan pbc_in_m1 pcsc_pin
    pcsc_reader persistent_reconnect pkcs11_engine_path pkcs11_module_path pmf preassoc_mac_addr rand_addr_lifetime
    reassoc_same_bss_optim sae_groups sae_pmkid_in_assoc sae_pwe scan_cur_freq scan_res_valid_for_connect sched_scan_interval
    sched_scan_start_delay serial_number tdls_external_control update_config user_mpm uuid wowlan_triggers wps_cred_add_sae
    wps_cred_processing wps_nfc_dev_pw_id wps_priority wps_vendor_ext_m1
    FIELDS;

    public static function ofANetwork(): KnownWords
    {
        return KnownWords::of(self::OF_A_NETWORK);
    }

    public static function top(): KnownWords
    {
        return KnownWords::of(self::TOP);
    }
}
