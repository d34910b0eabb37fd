# frozen_string_literal: true

module Basalt
  module Cloud
    # Protocols with their ports as people write them.
    module TrafficText
      EVERYTHING = "everything"
      LAST = 65_535

      module_function

      # @param text [String] +443+ or +8000-8010+
      # @return [String]
      # @raise [Model::BadFact]
      def ports(text)
        low, high = text.match(/\A(\d{1,5})(?:\s*[-–]\s*(\d{1,5}))?\z/)&.captures&.map { |one| one&.to_i }
        high ||= low
        unless low && low <= high && high <= LAST
          raise Model::BadFact, "ports are a number such as 443 or two such as 8000-8010, up to #{LAST}, not “#{Model::Names.short(text)}”"
        end

        low == high ? low.to_s : "#{low}-#{high}"
      end

      # @param protocol [String, nil]
      # @param ports [String, nil]
      # @return [Reach::Traffic]
      def traffic(protocol, ports)
        return Reach::Traffic::ALL unless protocol

        low, high = ports.to_s.split("-").map(&:to_i)
        Reach::Traffic.of(protocol, ports && (low..(high || low)))
      end

      # @return [String] the two as one says them; empty where there is nothing to say
      def words(protocol, ports) = [protocol, ports].compact.join(" ")
    end
  end
end
