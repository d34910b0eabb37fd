# frozen_string_literal: true

module Basalt
  module Cloud
    # The blocks of addresses of a boundary, kept as one text.
    module Prefixes
      MOST = 20
      BETWEEN = " and "

      module_function

      # @param text [String] blocks with anything but letters of an address between them
      # @return [String]
      # @raise [Addresses::BadAddress]
      def normal(text)
        found = text.split(/[\s,;]+|\band\b/).reject(&:empty?).map { |one| Addresses.prefix(one).to_s }.uniq
        raise Model::BadFact, "a boundary has #{found.length} blocks, and #{MOST} are kept of one" if found.length > MOST

        found.join(BETWEEN)
      end

      # @param text [String, nil] as the model keeps it
      # @return [Array<Addresses::Prefix>]
      def read(text) = text.to_s.split(BETWEEN).map { |one| Addresses.prefix(one) }
    end
  end
end
