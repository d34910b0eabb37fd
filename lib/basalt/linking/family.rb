# frozen_string_literal: true

module Basalt
  # Going down by name: which elements open into which sheets.
  module Linking
    # What this family adds to the base.
    module Family
      module_function

      def kinds = []
      def notations = []
      def forms = Sentences::FORMS
      def qualities = []
      def unparsers = {}
      def slots = { sheet: SheetSlot.new }
      def checks = [Checks::DanglingLink]

      # @return [Array<String>] the sentences of what a thing opens into
      def details(unparser, thing) = Sentences.told(unparser, thing)
    end
  end
end
