# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # All ports of a unit as one text, group by group: +1-24 copper 1G; up1-up4 fibre 10G+.
      module PortGroups
        MOST = 40
        SEPARATOR = "; "

        module_function

        # @param text [String, nil]
        # @return [Array<PortGroup>]
        # @raise [Mistake] for what is not understood, or a port that would be there twice
        def read(text)
          return [] if text.nil?

          groups = text.to_s.split(";").map(&:strip).reject(&:empty?).map { |part| PortGroup.read(part) }
          raise Mistake, "a unit has at most #{MOST} patterns of ports" if groups.length > MOST

          groups.combination(2) { |one, other| refuse_overlap(one, other) }
          groups
        end

        # @return [String] the same as it is kept
        def normal(text) = write(read(text))

        def write(groups) = groups.join(SEPARATOR)

        # With another group, which takes the place of one of the same names.
        #
        # @return [String]
        def with(text, group)
          groups = read(text)
          at = groups.index { |known| known.names == group.names && known.slot == group.slot }
          groups[at || groups.length] = group
          normal(write(groups))
        end

        # With more ports, which go on with those that are like them: +1-4+ and +5+ are +1-5+.
        #
        # @return [String]
        def joined(text, group)
          groups = read(text)
          place = groups.length
          while (at = groups.index { |known| join(known, group) })
            group = join(groups.delete_at(at), group)
            place = [at, place - 1].min
          end
          normal(write(groups.insert(place, group)))
        end

        # @return [PortGroup, nil] both as one, where the names go on and everything else is the same
        def join(one, other)
          return unless one.with(names: nil) == other.with(names: nil)

          names = one.names.join(other.names) || other.names.join(one.names)
          names && one.with(names:)
        end

        def refuse_overlap(one, other)
          first, last = one.overlap(other)
          return unless first

          raise Mistake, "#{first == last ? "port #{first} would" : "ports #{first} to #{last} would"} be there twice, " \
                         "in #{one.names} and #{other.names}"
        end
      end
    end
  end
end
