# frozen_string_literal: true

module Basalt
  module English
    # Who is somebody, and not something, as far as the word for it tells.
    module People
      KNOWN = %w[
        accountant actor actress adult agent analyst applicant apprentice architect artist assistant athlete attendee auditor
        author baby barber beneficiary borrower boy broker brother buyer caller candidate captain caretaker carpenter carrier
        cashier chef chief child citizen claimant clerk client coach colleague colonel consultant contractor cook councillor
        courier creditor crewman curator customer cyclist daughter dealer dean debtor defendant dentist director dispatcher doctor
        donor driver editor electrician employee engineer executor fan farmer father foreman friend general girl guard guardian
        guest heir holder host hostess householder inspector instructor intern investor janitor judge king labourer lady landlady
        landlord lawyer lecturer lender librarian lieutenant man manager mayor mechanic member minister monk mother musician
        neighbour nun nurse officer operator organiser owner parent participant passenger passerby patient payee payer people
        person pharmacist physician pilot plaintiff player plumber porter postman president priest prisoner professor publisher
        pupil queen reader referee relative researcher resident rider sailor salesman scientist secretary seller senator sergeant
        shareholder sibling sister soldier solicitor son speaker sponsor spouse stewardess student subscriber supervisor surgeon
        suspect teacher technician tenant tourist trader trainee trainer traveller trustee tutor user vendor visitor volunteer
        voter waiter waitress warden witness woman worker writer
      ].to_set.freeze
      ENDING = /(?:ologist|ician|man|woman|person|ographer|keeper|holder|worker|master|ess|ee)\z/
      NOT = %w[fee tree committee degree address process access employee_number coffee knee business witness_number mess
               press].to_set.freeze

      module_function

      # @param noun [String]
      # @return [Boolean]
      def person?(noun)
        head, = English.apart(noun)
        word = head.downcase[/[[:alpha:]-]+\z/].to_s.split("-").first.to_s
        KNOWN.include?(word) || (word.match?(ENDING) && !NOT.include?(word) && !word.match?(/ss\z/) && word != "ee")
      end

      # @return [String] what is said for one of it
      def pronoun(noun) = person?(noun) ? "them" : "it"
    end
  end
end
