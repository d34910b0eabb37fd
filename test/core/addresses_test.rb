# frozen_string_literal: true

require_relative "../support/core_helper"

# Addresses, prefixes and their short forms.
class AddressesTest < Minitest::Test
  A = Basalt::Addresses

  def test_version_6_is_written_as_rfc_5952_says
    %w[:: ::1 ::1:22 1:: fd00:4::20 2001:db8:0:1:1:1:1:1 2001:0:0:1::1 ::ffff:a00:1 1:2:3:4:5:6:7:8 ::102:304 fd00:0:0:4::].each do |text|
      assert_equal text, A.address(text).to_s
    end
  end

  def test_short_forms_and_whole_ones_are_inverse
    random = Random.new(5)
    400.times do
      version = [4, 6].sample(random:)
      bits = version == 4 ? 32 : 128
      length = random.rand(1..bits)
      first = (random.rand(1 << bits) >> (bits - length)) << (bits - length)
      prefix = A::Prefix.new(version:, first:, length:)
      address = A::Address.new(version:, number: random.rand(prefix.first..prefix.last))
      assert_equal address, A::Shorthand.read(prefix, A::Shorthand.write(prefix, address)), "#{address} in #{prefix}"
      assert_equal prefix, A.prefix(prefix.to_s)
    end
  end

  # Text that is nearly one: IPAddr has the last word on what is an address.
  def test_addresses_are_what_ipaddr_takes_for_one
    random = Random.new(9)
    bytes = [*0..300].map(&:to_s) + ["00", "01", "007", "", "+1", "1e1", " 1"]
    2000.times do
      text = Array.new(random.rand(20).zero? ? 3 : 4) { random.rand(3).zero? ? bytes.sample(random:) : random.rand(256).to_s }.join(".")
      meant = begin
        IPAddr.new(text)
      rescue IPAddr::Error
        nil
      end
      read = begin
        A.address(text)
      rescue A::BadAddress
        nil
      end
      assert meant.nil? == read.nil?, text.inspect
      assert_equal [meant.to_i, meant.to_s], [read.number, read.to_s] if meant
    end
  end

  def test_what_is_reserved
    {
      "10.0.0.0/24" => 254,
      "10.0.0.0/30" => 2,
      "10.0.0.0/31" => 2,
      "10.0.0.0/32" => 1,
      "fd00::/126" => 3,
      "fd00::/127" => 2
    }.each { |text, usable| assert_equal usable, A.prefix(text).usable, text }
  end

  def test_the_next_free_address_is_never_reserved_or_taken
    prefix = A.prefix("10.0.0.0/29")
    taken = Set.new
    6.times { taken << prefix.next_free(taken).number }
    assert_nil prefix.next_free(taken)
    assert_equal ((prefix.first + 1)..(prefix.last - 1)).to_a, taken.sort
  end

  def test_prefixes_contain_or_are_apart
    random = Random.new(1)
    100.times do
      one, other =
        Array.new(2) do
          random
            .rand(20..30)
            .then { |length| A::Prefix.new(version: 4, first: (random.rand(1 << 12) << 20 >> (32 - length)) << (32 - length), length:) }
        end
      assert_equal one.overlap?(other), one.contain?(other) || other.contain?(one)
    end
  end
end
