package io.causticon.web.places.network;

import java.io.IOException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** By which names and addresses others in the workshop's network find this machine. */
final class Addresses {

    private Addresses() {}

    /** What a tablet would open, the likeliest first: this machine's addresses in the network, then its name. */
    static List<String> ofThisMachine() {
        List<InetAddress> found = new ArrayList<>();
        try {
            for (NetworkInterface card : NetworkInterface.networkInterfaces().toList()) {
                if (card.isUp() && !card.isLoopback()) {
                    card.inetAddresses().filter(a -> !a.isLinkLocalAddress()).forEach(found::add);
                }
            }
        } catch (IOException e) {
            // A machine that cannot tell is reached by its name, if at all.
        }
        // Those of a house's own network before others, the older kind before the newer, which nobody can say aloud.
        found.sort(Comparator.comparing((InetAddress a) -> a instanceof Inet6Address)
                .thenComparing(a -> !a.isSiteLocalAddress()));
        List<String> names = new ArrayList<>(
                found.stream().map(a -> written(a.getHostAddress())).distinct().toList());
        names.add(hostName());
        return names.stream().filter(n -> !n.isEmpty()).distinct().toList();
    }

    /** Those and this machine to itself. */
    static Set<String> all() {
        Set<String> all = new LinkedHashSet<>(ofThisMachine());
        all.addAll(List.of("localhost", "127.0.0.1"));
        return all;
    }

    static boolean isAddress(String name) {
        return name.contains(":") || name.matches("[0-9]{1,3}(\\.[0-9]{1,3}){3}");
    }

    /** An address as Java writes it, without the card it belongs to. */
    static String written(String address) {
        String bare = address.replaceAll("%.*", "");
        try {
            return InetAddress.getByName(bare).getHostAddress().replaceAll("%.*", "");
        } catch (UnknownHostException e) {
            return bare;
        }
    }

    /** As it stands in the address of a page. */
    static String inUrl(String name) {
        return name.contains(":") ? "[" + name + "]" : name;
    }

    private static String hostName() {
        try {
            String name = InetAddress.getLocalHost().getHostName();
            return name.matches("[A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?") && !isAddress(name) ? name : "";
        } catch (UnknownHostException e) {
            return "";
        }
    }
}
