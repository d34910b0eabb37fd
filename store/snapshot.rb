# frozen_string_literal: true

module Store
  # Reads a project into a working set, all of it as it stood at one version.
  class Snapshot
    ELEMENTS = %w[id kind name owner_id rank container_id assumed said_by external_id ordinal].freeze
    SHEETS = %w[id name notation number band revision status drawn_by dated subject_id ordinal].freeze
    WAIVERS = %w[id finding state reason said_by at ordinal].freeze
    PLACEMENTS = %w[id sheet_id element_id x y w h pinned by_hand ordinal].freeze

    # @return [Basalt::Model::WorkingSet]
    # @raise [ActiveRecord::RecordNotFound]
    def self.read(project_id)
      ActiveRecord::Base.transaction(isolation: :repeatable_read) { new(project_id).read }
    end

    def initialize(project_id)
      @project = Project.find(project_id)
    end

    def read
      set = Basalt::Model::WorkingSet.new(project: @project.name, version: @project.version)
      sheets { |sheet| set.sheets.put(sheet) }
      elements { |element| set.elements.put(element) }
      placements { |placement| set.placements.put(placement) }
      waivers { |waiver| set.waivers.put(waiver) }
      set
    end

    private

    def rows(sql) = ActiveRecord::Base.connection.exec_query(sql, "read", [@project.id]).to_a

    def elements
      ends = rows("SELECT e.element_id, e.role, e.target_id, e.facts FROM ends e JOIN elements x ON x.id = e.element_id " \
                  "WHERE x.project_id = $1 ORDER BY e.element_id, e.position").group_by { |row| row["element_id"] }
      rows("SELECT #{ELEMENTS.join(', ')}, facts FROM elements WHERE project_id = $1 ORDER BY ordinal").each do |row|
        yield Basalt::Model::Element.new(**plain(row, ELEMENTS), facts: JSON.parse(row["facts"]), ends: ends.fetch(row["id"], []).map { |e| joined(e) })
      end
    end

    def joined(row) = Basalt::Model::End.new(role: row["role"], target_id: row["target_id"], facts: JSON.parse(row["facts"]).freeze)

    def sheets
      rows("SELECT #{SHEETS.join(', ')}, view FROM sheets WHERE project_id = $1 ORDER BY ordinal").each do |row|
        yield Basalt::Model::Sheet.new(**plain(row, SHEETS), view: parse(row["view"]))
      end
    end

    def placements
      rows("SELECT #{PLACEMENTS.join(', ')}, shape, route FROM placements WHERE project_id = $1 ORDER BY ordinal").each do |row|
        yield Basalt::Model::Placement.new(**plain(row, PLACEMENTS), shape: parse(row["shape"]), route: parse(row["route"]))
      end
    end

    def waivers
      rows("SELECT #{WAIVERS.join(', ')} FROM waivers WHERE project_id = $1 ORDER BY ordinal").each { |row| yield Basalt::Model::Waiver.new(**plain(row, WAIVERS)) }
    end

    def parse(json) = json && JSON.parse(json)
    def plain(row, columns) = columns.to_h { |column| [column.to_sym, row[column]] }
  end
end
