# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # How a project numbers ports: a pattern of MEMBER, SLOT and PORT. What a unit does not have is left out with what stands
      # behind it, so that +MEMBER/SLOT/PORT+ makes +1/24+ in a stack without cards.
      class Numbering
        USUAL = "MEMBER/SLOT/PORT"
        PIECE = /MEMBER|SLOT|PORT/
        LONGEST = 40

        # @param set [Model::WorkingSet, Change::Draft]
        # @return [Numbering] the project's own
        def self.of(set) = new(Rules.of(set)&.[]("numbering") || USUAL)

        # @return [String]
        # @raise [Mistake] for a pattern that would not tell ports apart
        def self.checked(text)
          pieces = text.scan(PIECE)
          raise Mistake,
                "a numbering is one word such as #{USUAL}, of at most #{LONGEST} letters" if text.match?(/\s/) || text.length > LONGEST
          raise Mistake, "a numbering names PORT once, and MEMBER and SLOT at most once: “#{text}” does not" if pieces.uniq != pieces ||
                                                                                                                !pieces.include?("PORT")
          raise Mistake, "between MEMBER, SLOT and PORT something has to stand, such as “/”" if text.match?(/(#{PIECE})(#{PIECE})/)

          text
        end

        # @param pattern [String]
        def initialize(pattern = USUAL)
          @pieces = pattern.split(/(#{PIECE})/).reject(&:empty?)
          @expressions = {}
        end

        # @return [String]
        def label(name, member: nil, slot: nil)
          given = { "PORT" => name, "MEMBER" => member, "SLOT" => slot }
          kept(given).map { |piece| given.fetch(piece, piece) }.join
        end

        # @param member [Boolean] whether the unit has members
        # @param slot [Boolean] whether the port is on a card
        # @return [Array(String, Integer, Integer), nil] name, member and slot that a label says; nil where it is none of these
        def read(label, member:, slot:)
          return [label, nil, nil] if plain? && !member && !slot

          found = label.match(@expressions[[member, slot]] ||= expression(member, slot)) or return
          [found[:PORT], *[[member, :MEMBER], [slot, :SLOT]].map { |there, piece| Integer(found[piece], 10) if there && has?(piece.to_s) }]
        end

        # @return [Boolean] whether the pattern tells members, or slots, apart
        def has?(piece) = @pieces.include?(piece)

        private

        # A port that is on no member and no card is called as it is named.
        def plain? = @plain.nil? ? @plain = kept("PORT" => "", "MEMBER" => nil, "SLOT" => nil) == ["PORT"] : @plain

        # What is left out takes what stands behind it along, and at the end what stands before it.
        def kept(given)
          kept = @pieces.dup
          @pieces.each do |piece|
            next unless given.key?(piece) && given[piece].nil?

            at = kept.index(piece)
            behind = kept[at + 1]
            kept.slice!(behind && !behind.match?(PIECE) ? at : [at - 1, 0].max, at.zero? && behind.nil? ? 1 : 2)
          end
          kept
        end

        def expression(member, slot)
          shapes = { "PORT" => "(?<PORT>.+)", "MEMBER" => "(?<MEMBER>\\d{1,2})", "SLOT" => "(?<SLOT>\\d{1,2})" }
          pieces = kept("PORT" => "", "MEMBER" => member || nil, "SLOT" => slot || nil)
          /\A#{pieces.map { |piece| shapes.fetch(piece) { Regexp.escape(piece) } }.join}\z/
        end
      end
    end
  end
end
