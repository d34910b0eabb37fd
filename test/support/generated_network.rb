# frozen_string_literal: true

# Makes statements of a random but repeatable logical network.
class GeneratedNetwork
  ROLES = %w[server storage workstation controller printer sensor switch].freeze

  def initialize(seed, subnets: nil, things: nil)
    @random = Random.new(seed)
    @subnets = subnets || @random.rand(1..12)
    @things = things
  end

  def text
    (["project Generated", "sheet Net: logical network", "internet"] + subnets + routers + hosts + wanderers).join("\n")
  end

  private

  def names = @names ||= (1..@subnets).map { |n| "net-#{n}" }

  def subnets =
    names.each_with_index.map do |name, n|
      "subnet #{name} #{n.even? ? "10.20.#{n}.0/24" : "fd00:#{n}::/64"}#{", vlan 7" if @random.rand(3).zero?}"
    end

  def short(name, number) = names.index(name).even? ? ".#{number}" : "::#{number.to_s(16)}"

  # Routers in loops: each joined to the next, some twice, some to the internet.
  def routers
    count = @random.rand(1..[@subnets, 6].min)
    lines = (1..count).map { |n| "router r-#{n}" }
    lines += (1..count).map { |n| "r-#{n} to r-#{(n % count) + 1}#{", circuit 200M" if @random.rand(2).zero?}" } if count > 1
    lines << "r-1 to internet, circuit 1G"
    lines << "r-#{count} wan2 to internet" if @random.rand(2).zero?
    lines +
      names.each_with_index.flat_map do |name, n|
        (1..count).to_a.sample(@random.rand(1..2), random: @random).map { |r| "r-#{r} on #{name} at #{short(name, 200 + r + (n % 2))}" }
      end
  end

  def hosts
    names.flat_map do |name|
      (1..(@things || @random.rand(1..60))).flat_map do |n|
        host = "#{name}-host-#{n}#{"-with-a-rather-long-name" if @random.rand(12).zero?}"
        ["#{ROLES.sample(random: @random)} #{host}", "#{host} on #{name}#{" at #{short(name, n)}" unless @random.rand(9).zero?}"]
      end
    end
  end

  # Things on up to four subnets.
  def wanderers
    (1..@random.rand(0..5)).flat_map do |n|
      ["server multi-#{n}"] +
        names.sample(@random.rand(2..4), random: @random).map { |name| "multi-#{n} on #{name} at #{short(name, 100 + n)}" }
    end
  end
end
