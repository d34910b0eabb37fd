# frozen_string_literal: true

module Basalt
  module Cloud
    # What passes: a protocol, with its ports or without; everything, where +all+ says that this may stand there.
    class TrafficSlot
      PORTS = /\A\d{1,5}(-\d{1,5})?\z/
      private_constant :PORTS

      # @param all [Boolean]
      def initialize(all: false)
        @all = all
      end

      def stops?(token) = token.word? && (Kinds::PROTOCOLS.include?(token.text) || (@all && token.text == TrafficText::EVERYTHING))

      # @yieldparam facts [Hash{String => String}] protocol and ports, as far as they are said
      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, label) unless token && stops?(token)
        return yield({}, at + 1) if token.text == TrafficText::EVERYTHING

        ports = matcher.token(at + 1)
        if token.text != "icmp" && ports&.word? && ports.text.match?(PORTS)
          yield({ "protocol" => token.text, "ports" => TrafficText.ports(ports.text) }, at + 2)
        else
          matcher.expect(at + 1, "ports such as 443") unless token.text == "icmp"
          yield({ "protocol" => token.text }, at + 1)
        end
      end

      def sample = "tcp"

      private

      def label
        [*Kinds::PROTOCOLS, *(TrafficText::EVERYTHING if @all)].map { |word| "“#{word}”" }.then { |words| "#{words[0..-2].join(", ")} or #{words.last}" }
      end
    end
  end
end
