# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # What the model is to have of what was found: a package or a class for each place, and the lines between classes.
      class Plan
        VERBS = { "generalisation" => "is a kind of", "realisation" => "realises", "dependency" => "depends on" }.freeze
        ROLES = {
          "generalisation" => %w[special general],
          "realisation" => %w[realiser realised],
          "dependency" => %w[client supplier]
        }.freeze

        # A package or a class: its key (kind and path), the key of what it is in, its facts and what was found.
        Space =
          Value.of(:kind, :path, :container, :facts, :found) do
            def key = [kind, path]
            def noun = facts["sort"] || kind
          end
        # A line between two of these.
        Line =
          Value.of(:kind, :ends, :stereotype) do
            def words
              from, to = ends.map { |_, key| key.last.join("::") }
              "#{from} #{VERBS.fetch(kind)} #{to}#{" (#{stereotype})" if stereotype}"
            end
          end

        # @param structure [Structure]
        def initialize(structure)
          @structure = structure
        end

        # @return [Array<Space>] the outer ones before what is in them
        def spaces = @spaces ||= (packages + classes).sort_by { |space| [space.path.length, space.kind == "package" ? 0 : 1] }

        # @return [Array<Line>]
        def lines = @lines ||= classes.flat_map { |space| of(space) }.uniq

        private

        # What holds others is a package, unless objects are made of it.
        def packages
          @packages ||=
            begin
              paths = @structure.all.flat_map { |found| (1...found.path.length).map { |count| found.path.first(count) } }.uniq
              paths.reject { |path| class_like?(path) }.map { |path| space("package", path, {}, @structure.at(path)) }
            end
        end

        # What objects are made of or have mixed in, and whatever is within such.
        def class_like?(path)
          (@class_like ||= {}).fetch(path) do
            found = @structure.at(path)
            @class_like[path] = (!found.nil? && of_objects?(found)) || (path.length > 1 && class_like?(path[0..-2]))
          end
        end

        def of_objects?(found)
          found.type != :module || mixed_in.include?(found.path) || found.features.any? { |one| one.operation? && !one.static? }
        end

        def classes
          @classes ||=
            (@structure.all.select { |found| class?(found) } + unsaid).map do |found|
              facts = { "sort" => Intake::SORTS[found.type], "stereotype" => ("module" if found.type == :module) }.compact
              space("class", found.path, facts, found)
            end
        end

        # What nobody declared although something is nested in it, within a class.
        def unsaid
          paths = @structure.all.flat_map { |found| (1...found.path.length).map { |count| found.path.first(count) } }.uniq
          paths.select { |path| @structure.at(path).nil? && class_like?(path) }.map { |path| Found.new(path, :module) }
        end

        # A module that only holds others is their package and no more.
        def class?(found) = class_like?(found.path) || !@structure.holds?(found.path) || found.features.any?

        def mixed_in
          @mixed_in ||=
            @structure.all.flat_map { |found| found.mixed_in.map { |_, name| @structure.resolve(name, found.path) } }.compact.to_set
        end

        def space(kind, path, facts, found)
          around = path.length > 1 ? path[0..-2] : nil
          Space.new(kind:, path:, container: around && [class_like?(around) ? "class" : "package", around], facts:, found:)
        end

        def of(space)
          found = space.found
          supers = targets(found, found.supers).map { |path| line(upwards(path), space.path, path) }
          mixed = found.mixed_in.flat_map { |verb, name| targets(found, [name]).map { |path| line("dependency", space.path, path, verb) } }
          told = (supers + mixed).map { |line| line.ends.last.last }
          spoken = targets(found, found.references).map { |path| line("dependency", space.path, path) }
          supers + mixed + spoken.reject { |line| told.include?(line.ends.last.last) }
        end

        def upwards(path) = @structure.at(path).type == :interface ? "realisation" : "generalisation"

        # Classes that are there and are not the one that speaks.
        def targets(found, names)
          paths = names.filter_map { |name| @structure.resolve(name, found.path) }.uniq - [found.path]
          paths.select { |path| class?(@structure.at(path)) }
        end

        def line(kind, from, to, stereotype = nil)
          ends = ROLES.fetch(kind).zip([["class", from], ["class", to]])
          Line.new(kind:, ends:, stereotype:)
        end
      end
    end
  end
end
