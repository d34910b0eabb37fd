# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # A unit, or a port of one, as somebody writes it: +core-01 1/2+.
      module PortReference
        module_function

        # @param text [String]
        # @return [Model::Element]
        # @raise [Mistake] where there is none or more than one of that name
        def unit(set, text)
          found = units(set, text.strip)
          return found.first if found.one?
          raise Mistake, "There are #{found.length} things called “#{Model::Names.short(text)}”" if found.any?

          near = DidYouMean::SpellChecker.new(dictionary: set.of_kind("device").map(&:name)).correct(text).first
          raise Mistake, "There is no thing called “#{Model::Names.short(text)}”#{"; did you mean #{near}?" if near}"
        end

        # @return [Array(Model::Element, String)] the unit and the label of its port
        # @raise [Mistake]
        def port(set, text)
          words = text.split
          (words.length - 1).downto(1) do |count|
            found = units(set, words.first(count).join(" "))
            return checked(set, found.first, words.drop(count).join(" ")) if found.one?
          end
          raise Mistake, "Say a port of #{words.join(" ")}, such as “#{words.join(" ")} 1”" if units(set, text.strip).any?

          unit(set, words.length > 1 ? words[0..-2].join(" ") : text)
        end

        def units(set, name) = set.named(name).select { |one| %w[device outside].include?(one.kind) }

        # A unit whose ports are known has no others, unless a cable says so.
        def checked(set, unit, label)
          ports = unit.kind == "device" ? Ports.of(set, unit) : nil
          known = ports.nil? || !ports.known? || ports.find(label) || CableEnds.by_label(set, unit.id).key?(label)
          return [unit, label] if known

          raise Mistake, "#{unit.name} has no port #{Model::Names.short(label)}"
        end
      end
    end
  end
end
