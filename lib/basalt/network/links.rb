# frozen_string_literal: true

module Basalt
  module Network
    # Links between things: the sentence +A PORT to B PORT+.
    module Links
      module_function

      # @param said [Hash] +one+, +one_port+, +other+, +other_port+, +qualities+
      def join(context, said)
        wanted = count(said)
        label = said.fetch(:qualities, []).filter_map { |_quality, values| values[:label] }.first
        found = same(context.draft, said, label)
        (wanted - found.length).times { found << add(context, said) } if found.length < wanted
        found.first(wanted).each { |link| context.qualify(link, said) }
        context.show(said[:one], said[:other])
      end

      def tell(unparser, link)
        alike = alike(unparser.set, link)
        return [] unless alike.first.id == link.id

        spoken = Statements::Grammar.qualities("link").flat_map { |quality| quality.tell(unparser, link) }
        spoken << times(alike.length) if alike.length > 1
        [unparser.say(*ends(unparser, link), *spoken.flat_map { |parts| [:comma, *parts] }), *Cabling::Vlans.tell(unparser, link)]
      end

      # A speed without a medium is said by itself.
      def bare_speed(unparser, link)
        link["speed"] && link["medium"].nil? ? [["speed", unparser.word(link["speed"])]] : []
      end

      def ends(unparser, link)
        one, other = link.ends
        [unparser.thing(one.target_id), *port(unparser, one), "to", unparser.thing(other.target_id), *port(unparser, other)]
      end

      def port(unparser, joined) = joined.facts["port"] ? [unparser.word(joined.facts["port"])] : []

      def times(count)
        [Sentences::COUNTS.key(count) || "#{count} times"]
      end

      # Links that one sentence tells together: the same ends and ports, and the same facts.
      def alike(set, link)
        set
          .relations_of(link.ends.first.target_id, "link")
          .select do |other|
            mark(other.ends) == mark(link.ends) && other.facts == link.facts && other.ends == link.ends
          end
      end

      def same(set, said, label)
        wanted = [[said[:one].id, said[:one_port]], [said[:other].id, said[:other_port]]].sort_by(&:inspect)
        set.relations_between(said[:one].id, said[:other].id, "link").select { |link| mark(link.ends) == wanted && link["label"] == label }
      end

      def mark(ends) = ends.map { |joined| [joined.target_id, joined.facts["port"]] }.sort_by(&:inspect)

      def add(context, said)
        context.add(
          "link",
          ends: [["one", said[:one].id, { "port" => said[:one_port] }], ["other", said[:other].id, { "port" => said[:other_port] }]]
        )
      end

      def count(said)
        number =
          said.fetch(:qualities, []).filter_map { |quality, values| values[:times] || Sentences::COUNTS[quality.source] }.first || 1
        return number if number.between?(1, Sentences::MOST_PARALLEL)

        raise Mistake, "a link can be said from 1 to #{Sentences::MOST_PARALLEL} times, not #{number}"
      end
    end
  end
end
