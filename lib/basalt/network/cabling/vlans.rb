# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What a port carries: one VLAN untagged, and others by their tags (IEEE 802.1Q). An end of a cable of which nothing is said
      # carries whatever comes.
      module Vlans
        RANGE = (1..4094)

        module_function

        # @param text [String] numbers, with commas or blanks between
        # @return [String] the same as it is kept
        # @raise [Mistake]
        def normal(text)
          numbers = text.split(/[\s,]+/).map { |word| checked(Integer(word, 10, exception: false), word) }
          numbers.uniq.sort.join(", ")
        end

        def checked(number, word)
          RANGE.cover?(number || 0) ? number : raise(Mistake, "a VLAN is a number from 1 to 4094, not “#{Model::Names.short(word.to_s)}”")
        end

        # @param joined [Model::End]
        def tagged(joined) = joined.facts["tagged"].to_s.split(", ").map(&:to_i)

        # @param joined [Model::End]
        # @param vlan [Integer, nil] nil where it has no number
        def carries?(joined, vlan)
          own, tagged = joined.facts.values_at("vlan", "tagged")
          (own.nil? && tagged.nil?) || vlan.nil? || own == vlan || tagged(joined).include?(vlan)
        end

        # @return [String, nil] in words
        def told(joined)
          words = [joined.facts["vlan"]&.to_s, joined.facts["tagged"]&.then { |numbers| "tagged #{numbers}" }].compact
          words.empty? ? nil : words.join(" ")
        end

        # The sentence +core-01 1/5 carries vlan 40 tagged 50, 60+.
        #
        # @param said [Hash] +unit+, +port+, +vlan+, +tagged+
        # @raise [Mistake] where nothing is plugged in
        def say(context, said)
          raise Mistake, "say which VLANs it carries, such as “carries vlan 40 tagged 50, 60”" unless said[:vlan] || said[:tagged]

          facts = { "vlan" => said[:vlan] && checked(said[:vlan], said[:vlan]),
                    "tagged" => said[:tagged] && normal(said[:tagged].join(" ")) }
          each_end(context, said) { |one| context.draft.apply(Change::SetEnd.new(id: one.cable.id, role: one.role, facts:)) }
        end

        def forget(context, said)
          each_end(context, said) do |one|
            context.draft.apply(Change::SetEnd.new(id: one.cable.id, role: one.role, facts: { "vlan" => nil, "tagged" => nil }))
          end
        rescue Mistake
          nil
        end

        def each_end(context, said, &)
          ends = CableEnds.of(context.draft, said[:unit].id).select { |one| one.label == said[:port] }
          return ends.each(&) if ends.any?

          raise Mistake, "nothing is plugged in at #{said[:unit].name} #{said[:port]}: say the cable first"
        end

        # @return [Array<String>] sentences about both ends of a cable
        def tell(unparser, cable)
          cable.ends.filter_map do |one|
            words = [*(["vlan", one.facts["vlan"].to_s] if one.facts["vlan"]), *tagged_words(one)]
            next if words.empty? || one.facts["port"].nil?

            unparser.say(unparser.thing(one.target_id), unparser.word(one.facts["port"]), "carries", *words)
          end
        end

        def tagged_words(one)
          numbers = tagged(one)
          numbers.empty? ? [] : ["tagged", *numbers.flat_map { |number| [:comma, number.to_s] }.drop(1)]
        end
      end
    end
  end
end
