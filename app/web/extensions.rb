# frozen_string_literal: true

module Web
  # What the families bring to the pages and the commands: each in a folder of app/families with an +extension.rb+. Finding
  # the folders is all that the application knows of them; one whose family the core does not have is left alone.
  module Extensions
    FOLDER = File.join(APPLICATION_ROOT, "app/families")

    class << self
      # @return [Array<Module>] each may have +routes+, +panels+, +commands+, +importers+, +tasks+, +faces+, +answers_again+ and +samples+
      def all
        @all ||= names.map { |name| Families.const_get(name.capitalize)::Extension }.freeze
      end

      # @param part [Symbol]
      # @return [Array] what all families bring of that part
      def gather(part) = all.select { |one| one.respond_to?(part) }.flat_map { |one| one.public_send(part) }

      # @param place [Symbol] where it stands: +:facts+ of an element, +:sheet+, +:chosen+ things (+:chosen_fields+ to be
      #   filled in), +:links+ and +:openers+ of a project, +:beside+ a sheet
      # @return [Array<Array(Symbol, Class)>] templates, with what presents to them what they show, where they need that
      def panels(place) =
        all.select { |one|
          one.respond_to?(:panels)
        }.flat_map { |one| one.panels.to_a }.select { |at, _| at == place }.map { |_, panel| Array(panel) }

      # @param effect [Basalt::Change::Effect]
      # @return [Boolean] whether what is told of a sheet as a whole is another after an act, for some family
      def follow?(set, sheet, effect) = all.any? { |one| one.respond_to?(:follows?) && one.follows?(set, sheet, effect) }

      # @return [Array<#name, #words, #template, #presenter>] further faces that sheets of a notation have
      def faces(sheet) = gather(:faces).select { |face| face.notations.include?(sheet.notation_name) }

      # @return [Hash{String => Class}] commands by name
      def commands = gather(:commands).flat_map(&:to_a).to_h

      # @return [Array<String>] folders of templates
      def views = names.map { |name| File.join(FOLDER, name, "views") }

      private

      def names = Basalt::Families.names.select { |name| File.exist?(File.join(FOLDER, name, "extension.rb")) }
    end
  end
end
