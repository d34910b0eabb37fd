# frozen_string_literal: true

require "rack/utils"

module Web
  module Families
    module Linking
      # How things are to be linked by name, as a form asks for it.
      class ByNameForm
        FIELDS = %w[noun by to without title].freeze
        LIMIT = 200

        # @param params [Hash]
        def initialize(params)
          @of = Array(params[:things_of]).grep(Lookup::ID)
          @given = FIELDS.to_h { |field| [field, params[field].to_s.strip[0, LIMIT]] }
        end

        attr_reader :of

        def [](field) = @given.fetch(field)

        # @return [Basalt::Linking::ByName]
        # @raise [Basalt::Mistake]
        def proposal(set)
          Basalt::Linking::ByName.new(
            set,
            sheet_ids: of.select { |id| set.sheets[id] },
            noun: given("noun"),
            by: given("by") || "name",
            to: given("to") || "titles",
            without: self["without"].split(",").map(&:strip).reject(&:empty?)
          )
        end

        # @return [Array<Basalt::Change::Link>]
        def links(set, chosen) = proposal(set).changes(chosen:, title: given("title"))

        # @return [String] the same, in an address
        def query = Rack::Utils.build_nested_query({ "things_of" => of }.merge(@given).reject { |_, value| value.empty? })

        private

        def given(field) = self[field].empty? ? nil : self[field]
      end
    end
  end
end
