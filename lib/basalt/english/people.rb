# frozen_string_literal: true

module Basalt
  module English
    # Who is somebody, and not something, as far as the word for it tells.
    module People
      KNOWN = %w[
        accountant actor actress adult agent ambassador analyst applicant apprentice architect artist assistant athlete
        attendee attorney auditor author baby bailiff baker banker barber beneficiary bishop borrower boy broker brother
        builder bursar businessman butcher buyer caller candidate captain caretaker carpenter carrier cashier chef chief child
        citizen claimant cleaner clerk client coach colleague collector colonel commander commissioner companion composer
        consultant contractor cook coordinator coroner councillor counsellor courier cousin creditor crewman curator customer
        cyclist dancer daughter dealer dean debtor defendant delegate dentist deputy designer detective developer director
        dispatcher diver doctor donor driver editor electrician employee engineer examiner executor fan farmer father fitter
        foreman forester founder friend gardener general girl governor graduate grandparent groom guard guardian guest heir
        heiress historian holder host hostess householder hunter husband individual inspector installer instructor intern
        interpreter interviewer investigator investor invigilator janitor jeweller joiner journalist judge juror king labourer
        lady landlady landlord lawyer learner lecturer lender librarian licensee lieutenant lifeguard lodger machinist
        magistrate man manager marshal mayor mechanic mediator member mentor merchant midwife miner minister monk mother
        musician navigator negotiator neighbour nominee novice nun nurse observer offender officer operator orderly organiser
        owner paramedic parent participant partner passenger passerby patient patron payee payer people performer person
        pharmacist photographer physician pilot plaintiff planner player plumber poet porter postman practitioner president
        priest principal prisoner producer professor programmer promoter proprietor prosecutor psychologist publisher pupil
        queen reader receptionist recipient recruit rector referee registrant registrar relative rep representative researcher
        resident respondent retiree reviewer rider sailor salesman scholar scientist scout scribe secretary seller senator
        sergeant settler shareholder sheriff shopper sibling signatory sister sitter soldier solicitor son speaker sponsor
        spouse statistician steward stewardess student subscriber superintendent supervisor surgeon survivor suspect swimmer
        tailor teacher technician technologist tenant toddler tourist trader trainee trainer traveller treasurer trustee tutor
        twin undertaker user usher valuer vendor vet veteran victim visitor volunteer voter waiter waitress walker warden
        welder wife winner witness woman worker writer
      ].to_set.freeze
      ENDING = /(?:ologist|ician|man|woman|person|ographer|keeper|holder|worker|master|ess|ee)\z/
      NOT = %w[fee tree committee degree address process access employee_number coffee knee business witness_number mess
               press].to_set.freeze

      module_function

      # @param noun [String]
      # @return [Boolean]
      def person?(noun)
        head, rest = English.apart(noun)
        return true if head.match?(/\bhead\z/i) && rest.match?(/\A of /)

        word = head.downcase[/[[:alpha:]-]+\z/].to_s.split("-").first.to_s
        KNOWN.include?(word) || (word.match?(ENDING) && !NOT.include?(word) && !word.match?(/ss\z/) && word != "ee")
      end

      # @return [String] what is said for one of it
      def pronoun(noun) = person?(noun) ? "them" : "it"
    end
  end
end
